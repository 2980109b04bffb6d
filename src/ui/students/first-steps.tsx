'use client';

import { useState } from 'react';
import type { Result } from '@/core/issue';
import type { StarterId } from '@/core/program';
import type { AssignmentId, PersonId, ProgramId, ProgramSummary } from '@/core/studio';
import { sayStarter, sayStarterUse, starterNames, type StarterItems } from '@/words';
import { attemptOrSay, Button, Choice, useSpeech, useUndo } from '../base';
import type { CopyStarter } from '../programs';
import { ShownLink, type Reached } from './shown-link';

export interface FirstActions {
  readonly give: (student: PersonId, program: ProgramId) => Promise<Result<AssignmentId>>;
  readonly take: (
    program: ProgramId,
    assignment: AssignmentId,
    ended: boolean,
  ) => Promise<Result<unknown>>;
  readonly copy: CopyStarter;
  readonly archive: (program: ProgramId, archived: boolean) => Promise<Result<unknown>>;
  readonly link: (student: PersonId, another: boolean) => Promise<Result<string>>;
}

interface Whom {
  readonly student: { readonly id: PersonId; readonly name: string };
}

/** The first program of a student: one of the studio's, or one that ships, copied as it is given. */
export function FirstProgram({
  student,
  programs,
  starters,
  actions,
}: Whom & {
  programs: readonly ProgramSummary[];
  starters: readonly StarterItems[];
  actions: FirstActions;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();

  async function give(value: string) {
    const starter = starters.find((one) => one.id === value);
    const own = programs.find((one) => one.id === value);
    const copied =
      starter && (await attemptOrSay(() => actions.copy(starter.id, starterNames(say, starter))));
    const program = own?.id ?? copied?.value;
    if (program === undefined) return;
    const given = await attemptOrSay(() => actions.give(student.id, program));
    if (!given) return;
    const name = own?.name ?? sayStarter(say, value as StarterId);
    undoable(say.t('screen.common.hasNow', { student: student.name, program: name }), async () => {
      await attemptOrSay(() => actions.take(program, given.value, true));
      if (copied) await attemptOrSay(() => actions.archive(program, true));
    });
  }

  return (
    <Choice
      label={say.t('screen.students.programFor', { student: student.name })}
      wide
      options={[
        ...programs
          .filter(({ items }) => items > 0)
          .map(({ id, name }) => ({ value: id as string, text: name })),
        ...starters.map(({ id, items }) => ({
          value: id as string,
          text: sayStarter(say, id),
          hint: say.t('screen.programs.starterUse', {
            use: sayStarterUse(say, id),
            count: items.length,
          }),
        })),
      ]}
      onChoose={(value) => void give(value)}
    >
      {say.t('screen.students.giveAProgram')}
    </Choice>
  );
}

/** The first way in of a student: a private link, shown where it is made. */
export function FirstLink({
  student,
  made,
  origin,
  others,
  actions,
}: Whom &
  Reached & {
    /** The path of the link, where there is one already. */
    made: string | null;
    actions: FirstActions;
  }) {
  const { say } = useSpeech();
  const [path, setPath] = useState(made);
  const [busy, setBusy] = useState(false);
  async function make() {
    setBusy(true);
    const answer = await attemptOrSay(() => actions.link(student.id, false));
    if (answer) setPath(answer.value);
    setBusy(false);
  }
  if (path === null) {
    return (
      <Button
        disabled={busy}
        aria-label={say.t('screen.students.linkFor', { student: student.name })}
        onClick={() => void make()}
      >
        {say.t('screen.access.makeLink')}
      </Button>
    );
  }
  return (
    <div className="flex max-w-80 flex-col items-start gap-2 py-2">
      <ShownLink path={path} student={student.name} origin={origin} others={others} />
    </div>
  );
}
