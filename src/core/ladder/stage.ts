import { MANNERS } from './data';

export type Manner = (typeof MANNERS)[number];
