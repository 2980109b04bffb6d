'use server';

import { text } from '@/core/shape';
import { signOutElsewhere, signOutOn } from '@/server';
import { ownAction } from '../act';

/** Signs out on all other browsers. */
export const endElsewhere = ownAction([], ({ context, me }) => signOutElsewhere(context, me));

/** Signs out on one browser. */
export const endOn = ownAction([text(40)], ({ context, me }, device) =>
  signOutOn(context, me, device),
);
