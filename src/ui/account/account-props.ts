import type { Issue, Result } from '@/core/issue';
import type { AuditLine, DeviceLine, PersonId } from '@/core/studio';

interface OwnAccount {
  readonly email: string | null;
  readonly devices: readonly DeviceLine[];
  readonly studios: readonly {
    readonly person: PersonId;
    readonly name: string;
    readonly here: boolean;
  }[];
}

interface OwnedStudio {
  readonly staff: readonly {
    readonly id: PersonId;
    readonly name: string;
    readonly role: 'owner' | 'teacher';
    readonly email: string | null;
    readonly students: number;
  }[];
  readonly invitations: readonly {
    readonly id: string;
    readonly email: string;
    readonly path: string;
    readonly endsAt: number | null;
  }[];
  readonly tablets: readonly {
    readonly id: string;
    readonly name: string;
    readonly createdAt: number;
  }[];
  readonly mails: readonly {
    readonly id: string;
    readonly at: number;
    readonly to: string;
    readonly letter: { readonly subject: string; readonly text: string } | null;
  }[];
  readonly audit: readonly AuditLine[];
}

export type Answer = readonly Issue[];

export interface AccountActions {
  readonly setPassword: (typed: { present: string; password: string }) => Promise<Result<null>>;
  readonly endElsewhere: () => Promise<Result<null>>;
  readonly endOn: (device: string) => Promise<Result<null>>;
  readonly goToStudio: (to: PersonId) => Promise<Result<null>>;
  readonly invite: (email: string) => Promise<Result<string>>;
  readonly takeInvitationBack: (id: string) => Promise<Result<null>>;
  readonly renameOwn: (name: string) => Promise<Result<null>>;
  readonly makeOwner: (id: PersonId) => Promise<Result<null>>;
  readonly letGo: (id: PersonId, to: PersonId) => Promise<Result<null>>;
  readonly tabletEnds: (id: string) => Promise<Result<null>>;
  readonly tabletHere: (name: string) => Promise<Result<unknown>>;
  readonly openOther: (before: Answer, form: FormData) => Promise<Answer>;
}

export interface AccountProps {
  readonly name: string;
  readonly account: OwnAccount;
  /** What the owner looks after; null for any other teacher. */
  readonly owned: OwnedStudio | null;
  readonly actions: AccountActions;
}

export interface OwnedProps {
  readonly owned: OwnedStudio;
  readonly actions: AccountActions;
}
