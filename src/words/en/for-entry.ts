import { common } from './screen/common';
import { entry } from './screen/entry';
import { shell } from './screen/shell';

/** English for whoever is not in yet. */
export const enForEntry = { screen: { common, entry, shell } } as const;
