import { bench } from './bench';
import { common } from './common';
import { materials } from './materials';
import { plan } from './plan';
import { programs } from './programs';
import { record } from './record';
import { shell } from './shell';
import { stand } from './stand';
import { steps } from './steps';
import { students } from './students';
import { today } from './today';
import { variations } from './variations';

/** What the screens say by themselves; what several of them say is `common`. */
export const screen = {
  bench,
  common,
  materials,
  plan,
  programs,
  record,
  shell,
  stand,
  steps,
  students,
  today,
  variations,
} as const;
