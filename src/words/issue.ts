import { unreachable, type Issue, type Misfit } from '@/core/issue';
import { MOST_LAST_TRIES } from '@/core/ladder';
import { sayAxis, sayReadAs } from './terms';
import { sayNamed } from './material';
import { saySubdivision } from './time';
import { sayDay } from './calendar';
import { sayLimbs } from './kit';
import { sayLength, sayPlace } from './place';
import { signed } from './practice';
import { sayList, type Say } from './say';

/** What is wrong, where, and how to mend it, of all that went wrong at once. */
export function sayIssues(say: Say, issues: readonly Issue[]): string {
  return issues.map((issue) => sayIssue(say, issue)).join(' ');
}

/** What is wrong, where, and how to mend it: the one place where issues become words. */
export function sayIssue(say: Say, issue: Issue): string {
  const { t, notes } = say;
  const { code } = issue;
  const sixteenth = t(`notes.${notes}.sixteenth`);
  const sixteenths = t(`notes.${notes}.sixteenths`);
  switch (code) {
    case 'line-empty':
    case 'part-empty':
    case 'link-altered':
    case 'family-empty':
    case 'ladder-step-zero':
    case 'ladder-empty':
    case 'item-twice':
    case 'program-changed':
    case 'not-asked':
    case 'note-empty':
    case 'week-empty':
    case 'nothing-to-play':
      return t(`issue.${code}`);
    case 'only-rests':
      return t('issue.only-rests', { what: issue.what });
    case 'line-token':
    case 'line-tie':
    case 'line-tuplet':
      return t(`issue.${code}`, { bar: issue.bar, token: issue.token });
    case 'loop-part':
      return t('issue.loop-part', { text: issue.text, bars: issue.bars });
    case 'bar-length': {
      const { bar, meter, gotTicks, wantedTicks } = issue;
      const off = sayLength(say, Math.abs(wantedTicks - gotTicks));
      const length = { bar, meter, got: sayLength(say, gotTicks), off };
      return gotTicks < wantedTicks
        ? t('issue.bar-short', { ...length, rest: issue.rest })
        : t('issue.bar-long', length);
    }
    case 'grid-token':
      return t('issue.grid-token', { slot: issue.at + 1, token: issue.token });
    case 'part-who':
      return issue.text === '' ? t('issue.part-nobody') : t('issue.part-who', { text: issue.text });
    case 'count-token':
      return t('issue.count-token', { token: issue.token, beats: issue.beats });
    case 'sticking-token':
      return t('issue.sticking-token', { stroke: issue.at + 1, token: issue.token });
    case 'sticking-bar': {
      const { bar, got, wanted } = issue;
      return t('issue.sticking-bar', { bar, got, wanted, grid: saySubdivision(say, issue.grid) });
    }
    case 'count-bar':
      return t('issue.count-bar', { bar: issue.bar, bars: issue.bars });
    case 'count-bars':
      return t('issue.count-bars', { got: issue.got, wanted: issue.wanted });
    case 'line-letters':
      return issue.letter === null
        ? t('issue.line-letters', { got: issue.got, wanted: issue.wanted })
        : t('issue.line-letter', { letter: issue.letter });
    case 'ending-length': {
      const { bars, wanted } = issue;
      return t('issue.ending-length', {
        ...{ bars, wanted },
        ending: issue.ending || t('issue.endingNone'),
      });
    }
    case 'cell-length': {
      const { sticking, gap } = issue;
      return t('issue.cell-length', { sticking, letters: sticking.length, gap });
    }
    case 'meter':
    case 'feel':
    case 'limb':
    case 'bars':
      return t(`issue.${code}`, { text: issue.text });
    case 'grouping':
      return t('issue.grouping', { text: issue.text, count: issue.count });
    case 'subdivision':
      return t('issue.subdivision', {
        ...{ text: issue.text, sixteenths },
        eighths: t(`notes.${notes}.eighths`),
        eighthTriplets: t(`notes.${notes}.eighthTriplets`),
      });
    case 'voice':
      return issue.near
        ? t('issue.voiceNear', { text: issue.text, near: issue.near })
        : t('issue.voice', { text: issue.text });
    case 'tempo':
    case 'ladder-number':
      return t(`issue.${code}`, { text: issue.text, least: issue.least, most: issue.most });
    case 'onset-off-grid':
      return t('issue.onset-off-grid', {
        bar: issue.bar,
        count: sayPlace(say, issue.at, issue.meter),
        grid: saySubdivision(say, issue.grid),
      });
    case 'gap-off-grid': {
      const count = sayPlace(say, issue.at, issue.meter);
      return t('issue.gap-off-grid', { bar: issue.bar, count, sixteenth });
    }
    case 'gap-without-cell': {
      const { bar, slot, gap } = issue;
      const count = sayPlace(say, issue.at, issue.meter);
      const [first, ...others] = issue.proposals.slice(0, 3);
      return first === undefined
        ? t('issue.gap-without-cell', { bar, slot, count, gap, sixteenths })
        : t('issue.gap-with-proposals', {
            ...{ bar, slot, count, gap, sixteenths },
            proposals: [first, ...others].join(', '),
          });
    }
    case 'rule-none':
      return t('issue.rule-none', {
        bar: issue.bar,
        count: sayPlace(say, issue.at, issue.meter),
        length: saySixteenths(say, issue.length),
        gap: saySixteenths(say, issue.gap),
        onBeat: issue.onBeat ? 'yes' : 'no',
      });
    case 'rules-contradict':
      return t('issue.rules-contradict', { first: issue.first, second: issue.second });
    case 'rule-range': {
      const { row, from, to } = issue;
      return t('issue.rule-range', { row, from, to, sixteenths });
    }
    case 'limb-claimed': {
      const { over, by, limbs } = issue;
      return t('issue.limb-claimed', {
        over: over.map((name) => sayNamed(say, name)).join(', '),
        by: sayReadAs(say, by),
        limbs: sayLimbs(say, limbs),
      });
    }
    case 'cycle-too-long':
    case 'sequence-too-long':
      return t(`issue.${code}`, { bars: issue.bars, most: issue.most });
    case 'member-meter': {
      const { name, meter, wanted } = issue;
      return t('issue.member-meter', { name, meter, wanted });
    }
    case 'member-feel': {
      const { name, feel, wanted } = issue;
      return t('issue.member-feel', { name, feel, wanted });
    }
    case 'recipe-newer':
      return t('issue.recipe-newer', { version: issue.version, known: issue.known });
    case 'body-large':
      return t('issue.body-large', { most: issue.most });
    case 'host-unknown':
      return t('issue.host-unknown', { host: issue.host });
    case 'storage': {
      const { trouble, file, backup } = issue;
      const restore =
        backup === null ? t('issue.storageNoBackup') : t('issue.storageRestore', { backup });
      return t('issue.storage', { trouble, file, restore });
    }
    case 'file-nodes':
      return t('issue.file-nodes', { most: issue.most });
    case 'file-large':
      return t('issue.file-large', { most: issue.most });
    case 'file-heavy':
      return t('issue.file-heavy', { what: issue.what, most: issue.most });
    case 'file-unreadable':
      return t('issue.file-unreadable', { line: issue.line });
    case 'file-other':
    case 'file-packed':
    case 'file-entities':
    case 'file-deep':
    case 'file-frames':
    case 'file-silent':
    case 'backup-damaged':
    case 'backup-newer':
    case 'backup-locked':
      return t(`issue.${issue.code}`);
    case 'address':
      return t('issue.address', { text: issue.text });
    case 'csv-quotes':
      return t('issue.csv-quotes', { line: issue.line });
    case 'csv-rows':
      return t('issue.csv-rows', { most: issue.most });
    case 'csv-columns': {
      const found = issue.found.filter((one) => one !== '').slice(0, 8);
      const missing = issue.missing.join(', ');
      return t('issue.csv-columns', { missing, found: found.join(', ') || 'none' });
    }
    case 'csv-form': {
      const { line, column, text, like } = issue;
      return t('issue.csv-form', { line, column, text: text || 'none', like });
    }
    case 'csv-cell': {
      const { line, column, text } = issue;
      const may = issue.may.join(', ') || 'none';
      return t('issue.csv-cell', { line, column, text: text || 'none', may });
    }
    case 'file-encoding':
      return t('issue.file-encoding', { encoding: issue.encoding });
    case 'file-midi':
      return t('issue.file-midi', { track: issue.track });
    case 'file-long':
      return t('issue.file-long', { bars: issue.bars, notes: issue.notes });
    case 'bundle-large':
      return t('issue.bundle-large', { most: issue.most });
    case 'bundle-newer':
      return t('issue.bundle-newer', { version: issue.version, known: issue.known });
    case 'bundle-part': {
      const what = sayMisfits(say, issue.misfits);
      return t('issue.bundle-part', { part: issue.part, name: issue.name, what });
    }
    case 'recipe-shape':
    case 'entry-shape':
    case 'input-shape':
      return t(`issue.${code}`, { what: sayMisfits(say, issue.misfits) });
    case 'ingredient-missing':
      return t('issue.ingredient-missing', { id: issue.id, version: issue.version });
    case 'family-too-large': {
      const { size, most, axis, values } = issue;
      return t('issue.family-too-large', { size, most, axis: sayAxis(say, axis), values });
    }
    case 'axis-empty':
      return t('issue.axis-empty', { axis: sayAxis(say, issue.axis) });
    case 'members-too-many':
      return t('issue.members-too-many', { count: issue.count, most: issue.most });
    case 'ladder-step-away': {
      const { start, target, step } = issue;
      return t('issue.ladder-step-away', {
        ...{ start, target },
        step: signed(step),
        mended: signed(-step),
      });
    }
    case 'dosage':
      return t('issue.dosage', { text: issue.text, most: issue.most });
    case 'ladder-long':
      return t('issue.ladder-long', { rungs: issue.rungs, most: issue.most });
    case 'rule':
      return t('issue.rule', { what: issue.what, text: issue.text, most: MOST_LAST_TRIES });
    case 'after-missing':
    case 'program-empty':
    case 'nobody-has-it':
      return t(`issue.${code}`, { name: issue.name });
    case 'after-circle': {
      const { names } = issue;
      const waits = names.map((name, nth) => {
        const first = names[(nth + 1) % names.length] ?? '';
        return t('issue.after-waits', { name, first });
      });
      return t('issue.after-circle', { circle: sayList(say, waits) });
    }
    case 'tick':
      return t('issue.tick', { day: sayDay(say, issue.day), text: issue.text });
    case 'day-ahead':
    case 'day-past':
      return t(`issue.${code}`, { day: sayDay(say, issue.day) });
    case 'off-order':
      return t('issue.off-order', { from: sayDay(say, issue.from), to: sayDay(say, issue.to) });
    case 'off-overlap':
      return t('issue.off-overlap', {
        first: sayDates(say, issue.one),
        second: sayDates(say, issue.other),
      });
    case 'target-past':
      return t('issue.target-past', {
        target: sayDay(say, issue.target),
        today: sayDay(say, issue.today),
      });
    case 'quiet-empty':
      return t('issue.quiet-empty', { at: issue.at });
    case 'email':
      return t('issue.email', { text: issue.text });
    case 'teaches-here':
      return t('issue.teaches-here', { email: issue.email });
    case 'sign-in-wrong':
    case 'pin-wrong':
    case 'setup-code':
    case 'link-over':
    case 'password-common':
      return t(`issue.${code}`);
    case 'code-wrong':
      return t('issue.code-wrong', { days: issue.days });
    case 'too-many-tries':
      return t('issue.too-many-tries', { minutes: issue.minutes });
    case 'password-length':
      return t('issue.password-length', { least: issue.least, most: issue.most });
    case 'last-teacher':
      return t('issue.last-teacher', { student: issue.student });
    case 'name-differs':
      return t('issue.name-differs', { name: issue.name });
    case 'name-missing':
    case 'not-yours':
    case 'not-found':
      return t(`issue.${code}`, { what: t(`thing.${issue.what}`) });
    case 'already-given':
      return t('issue.already-given', { student: issue.student, program: issue.program });
    default:
      return unreachable(issue);
  }
}

function sayDates(say: Say, { from, to }: { from: string; to: string }): string {
  if (from === to) return sayDay(say, from);
  return say.t('plan.range.to', { from: sayDay(say, from), to: sayDay(say, to) });
}

/** A number of 16ths, perhaps fractional. @example saySixteenths(ENGLISH, 1) // => 'a 16th' */
function saySixteenths({ t, notes }: Say, count: number): string {
  return t(`notes.${notes}.16`, { count: Math.round(count * 100) / 100 });
}

function sayMisfits(say: Say, misfits: readonly Misfit[]): string {
  const { t } = say;
  return misfits
    .map(({ at, problem }) =>
      t('misfit.at', { field: at || t('misfit.whole'), problem: t(`misfit.${problem}`) }),
    )
    .join('; ');
}
