import { connection } from 'next/server';
import { listDoors, liveContext } from '@/server';
import { Start } from '@/ui/start';
import { enter, open } from './actions';

export default async function StartPage() {
  await connection();
  return <Start doors={listDoors(liveContext())} enter={enter} open={open} />;
}
