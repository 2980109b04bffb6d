export { ByLink } from './by-link';
export { ByNumber } from './by-number';
export { DemoList } from './demo-list';
export { Doors } from './doors';
export { EntryPage } from './entry-page';
export { Forgot } from './forgot';
export { ClaimStudio, Invitation, OpenStudio, ResetPassword, SetupCode } from './set-up';
export { TakeAlong } from './take-along';
