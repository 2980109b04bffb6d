import type { ReactNode } from 'react';
import { getSpeech } from '@/server';
import { FindButton, SpeechSwitch, TeacherWords, TopBar } from '@/ui/shell';
import { leave, setStudioSpeech } from '../actions';
import { teacherVisit } from '../viewer';
import { findTargets } from './find';

const PLACES = [
  { href: '/bench', id: 'bench' },
  { href: '/variations', id: 'variations' },
  { href: '/materials', id: 'materials' },
  { href: '/programs', id: 'programs' },
  { href: '/students', id: 'students' },
] as const;

const OWN = { href: '/account', id: 'account' } as const;

export default async function TeacherLayout({ children }: { children: ReactNode }) {
  const { me, name } = await teacherVisit();
  const speech = getSpeech(me);
  return (
    <TeacherWords speech={speech}>
      <div className="flex h-dvh flex-col">
        <TopBar places={PLACES} who={name} leave={leave} own={OWN}>
          <FindButton places={PLACES} find={findTargets} />
          <SpeechSwitch speak={setStudioSpeech} />
        </TopBar>
        {/* What is worked on at a desk keeps its width; what is held in the hand has the room there is. */}
        <div className="min-h-0 flex-1 overflow-auto [&>main]:min-w-[64rem] [&>main.in-hand]:min-w-0">
          {children}
        </div>
      </div>
    </TeacherWords>
  );
}
