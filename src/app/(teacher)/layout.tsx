import type { ReactNode } from 'react';
import { TopBar } from '@/ui/shell';
import { leave } from '../actions';
import { teacherVisit } from '../viewer';
import { findTargets } from './find';

const PLACES = [
  { href: '/bench', name: 'Bench' },
  { href: '/programs', name: 'Programs' },
  { href: '/students', name: 'Students' },
];

export default async function TeacherLayout({ children }: { children: ReactNode }) {
  const { name } = await teacherVisit();
  return (
    <div className="flex h-dvh min-w-[64rem] flex-col">
      <TopBar places={PLACES} who={name} find={findTargets} leave={leave} />
      <div className="min-h-0 flex-1 overflow-y-auto">{children}</div>
    </div>
  );
}
