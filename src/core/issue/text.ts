import type { Issue } from './issue';
import { unreachable } from './issue';
import { sayCount } from './say';

/** What is wrong, where, and how to mend it: the one place where issues become words. */
export function issueText(issue: Issue): string {
  switch (issue.code) {
    case 'line-empty':
      return 'The line is empty. Type note values, such as 4. 4 8 4.';
    case 'only-rests':
      return issue.what === 'line'
        ? 'The line holds nothing but rests. Write at least one note, or take the line out.'
        : 'The sticking holds nothing but rests. Write at least one letter, or take it out.';
    case 'line-token':
      return `Bar ${issue.bar}: “${issue.token}” is not a note value. Write 1, 2, 4, 8, 16 or 32, with a dot (4.), as a rest (8r) or tied (4~8).`;
    case 'line-tie':
      return `Bar ${issue.bar}: the tie after “${issue.token}” has no note to hold on to. Put a note after ~, or take the tie away.`;
    case 'line-tuplet':
      return `Bar ${issue.bar}: “${issue.token}” is not a tuplet. Write the number, then its notes in brackets: 3(8 8 8).`;
    case 'bar-length':
      return issue.short
        ? `Bar ${issue.bar} holds ${issue.got}, ${issue.off} short of ${issue.wanted}. Add notes or rests, such as ${issue.off === 'an 8th' ? '8r' : '4r'}, or take the bar lines out: a line of any length goes round.`
        : `Bar ${issue.bar} holds ${issue.got}, ${issue.off} more than ${issue.wanted}. Take notes away, or put a bar line | after the full bar.`;
    case 'grid-token':
      return `Slot ${issue.at + 1}: “${issue.token}” is not a grid mark. Use x hit, X accent, g ghost, - rest.`;
    case 'part-who':
      return issue.text === ''
        ? 'Who plays it? Put a limb or a voice and a colon in front, such as K: x--x--x-.'
        : `“${issue.text}” is neither a limb nor a voice. Put K, F, R, L, ride, snare or another voice before the colon.`;
    case 'part-empty':
      return 'Nothing is played after the colon. Type a grid such as x--x--x-, or a count such as 1 & 3 &.';
    case 'count-token':
      return `“${issue.token}” is not counted there. Use beats 1 to ${issue.beats}, e & a, trip let, in order; 2& is the & of 2 alone.`;
    case 'sticking-token':
      return `Stroke ${issue.at + 1}: “${issue.token}” is not a limb. Use R and L for hands, K right foot, F left foot.`;
    case 'count-bars':
      return `${issue.got} bars are counted, but there are ${issue.wanted}. Type one bar, or all of them with | between.`;
    case 'line-letters':
      return issue.letter === null
        ? `${issue.got} letters for ${issue.wanted} notes. Type one for each note of the line.`
        : `“${issue.letter}” is no voice. Use the letters of the lanes, such as S, K, H, T1.`;
    case 'ending-length':
      return `The ending ${issue.ending || '(none)'} does not fill ${issue.bars === 1 ? 'the bar' : `${issue.bars} bars`}: ${sayCount(issue.wanted, 'slot')} ${issue.wanted === 1 ? 'is' : 'are'} left. Choose an ending of that length, or the full cycle.`;
    case 'cell-length':
      return `The cell ${issue.sticking} has ${issue.sticking.length} strokes, but stands for a gap of ${issue.gap}. Make it ${issue.gap} letters long.`;
    case 'meter':
      return `“${issue.text}” is not a meter. Write it as 4/4, 7/8 or 5/4 2+3.`;
    case 'grouping':
      return `The grouping ${issue.text} does not add up to ${issue.count}. Change it so that it does.`;
    case 'feel':
      return `“${issue.text}” is not a feel. Write straight, or long to short, such as 2:1.`;
    case 'subdivision':
      return `“${issue.text}” is not a subdivision. Choose 8ths, 16ths, 8th triplets or another from the list.`;
    case 'voice':
      return issue.near
        ? `There is no voice “${issue.text}”. Did you mean ${issue.near}?`
        : `There is no voice “${issue.text}”. Choose one from the list.`;
    case 'limb':
      return `“${issue.text}” is not a limb. Use RH, LH, RF or LF.`;
    case 'tempo':
      return `A tempo of “${issue.text}” cannot be played here. Set it between ${issue.least} and ${issue.most}.`;
    case 'onset-off-grid':
      return `Bar ${issue.bar}, ${issue.count}: this note falls between the ${issue.grid}. Choose a finer grid, or write the line so that its notes fall on them.`;
    case 'gap-off-grid':
      return `Bar ${issue.bar}, ${issue.count}: this note is not on a 16th, so no cell reaches it. Write the line without tuplets, or choose another interpretation.`;
    case 'gap-without-cell':
      return `Bar ${issue.bar}, slot ${issue.slot} (${issue.count}): the next note is ${issue.gap} 16ths away and no cell has that length. ${issue.proposals.length > 0 ? `Take ${issue.proposals.slice(0, 3).join(', ')}, or shorten the gap.` : 'Put a note in between, so that the gap is shorter.'}`;
    case 'rule-none':
      return `Bar ${issue.bar}, ${issue.count}: no rule fits this note (${sixteenths(issue.length)} long, ${sixteenths(issue.gap)} to the next, ${issue.onBeat ? 'on' : 'off'} the beat). Add a rule for it, or widen one.`;
    case 'rules-contradict':
      return `Rules ${issue.first} and ${issue.second} are about the same notes and say different things. Change one of them, or take it away.`;
    case 'rule-range':
      return `Rule ${issue.row}: nothing is from ${issue.from} to ${issue.to} 16ths long. Swap the two numbers.`;
    case 'limb-claimed':
      return `${issue.over} and ${issue.by} both need the ${issue.limbs.join(' and the ')}. Let the ostinato’s part rest, merge them, or choose another limb.`;
    case 'cycle-too-long':
      return `The parts come round together only after ${issue.bars} bars; ${issue.most} is the most. Cut it to fewer, or shorten one of them so that it fits the bar.`;
    case 'bars':
      return `“${issue.text}” bars cannot be played. Type a whole number from 1 to 64.`;
    case 'member-meter':
      return `${issue.name} is in ${issue.meter}, what it follows in ${issue.wanted}. Take it away, or choose one in ${issue.wanted}.`;
    case 'member-feel':
      return `${issue.name} is ${issue.feel}, what it follows ${issue.wanted}. Take it away, or set both to the same feel.`;
    case 'sequence-too-long':
      return `The whole is ${issue.bars} bars long; ${issue.most} is the most. Take a part away, or give it fewer bars.`;
    case 'recipe-newer':
      return `This exercise was written by a newer Mivvel (format ${issue.version}; this one reads ${issue.known}). Update Mivvel, then open it again.`;
    case 'recipe-shape':
      return `This exercise cannot be read: ${issue.what}. Ask whoever sent it for the link again.`;
    case 'ingredient-missing':
      return `“${issue.id}”, version ${issue.version}, is not in this studio. Choose another, or ask for the whole exercise.`;
    case 'link-altered':
      return 'This link is not complete, or was changed on the way. Copy the whole link again from where it was made.';
    case 'family-too-large':
      return `That makes ${issue.size.toLocaleString('en')} variations; ${issue.most.toLocaleString('en')} is the most. Narrow “${issue.axis}”: it has ${issue.values.toLocaleString('en')} values.`;
    case 'axis-empty':
      return `“${issue.axis}” has no value left. Choose one, or take the phrase out of the family.`;
    case 'family-empty':
      return 'None of these can be played. Change what they have in common.';
    case 'members-too-many':
      return `${issue.count} exercises at once are too many; ${issue.most} is the most. Keep fewer, or set a stop.`;
    case 'ladder-step-zero':
      return 'A step of 0 never leaves the start. Set a step such as 5.';
    case 'ladder-step-away':
      return `A step of ${signed(issue.step)} leads away from ${issue.target} when starting at ${issue.start}. Set it to ${signed(-issue.step)}, or swap start and target.`;
    case 'dosage':
      return `A dosage of “${issue.text}” cannot be played. Set at least 1, in whole numbers or half minutes, and at most ${issue.most}.`;
    case 'ladder-number':
      return `“${issue.text}” does not fit here. Set a number from ${issue.least} to ${issue.most}.`;
    case 'ladder-empty':
      return 'This ladder has no rungs yet. Type its tempi, such as 60 70 80, or choose steps.';
    case 'ladder-long':
      return `This makes ${issue.rungs} rungs, and ${issue.most} is the most. Take larger steps.`;
    case 'rule':
      return {
        clean: `“${issue.text}” clean tries cannot be asked for. Set a whole number from 1 to 20.`,
        lost: `“${issue.text}” lost tries cannot be waited for. Set a whole number from 1 to 20.`,
        plateau: `“${issue.text}” days without gain cannot be waited for. Set a whole number from 1 to 20.`,
      }[issue.what];
    case 'item-twice':
      return 'The same item stands here twice. Reload the page and do it again.';
    case 'after-missing':
      return `${issue.name} waits for something that is not in the program. Choose anew what it comes after.`;
    case 'after-circle':
      return `${issue.names.join(' waits for ')} waits for ${issue.names[0] ?? ''}: none could ever begin. Let one of them wait for nothing.`;
    case 'program-changed':
      return 'This program was changed elsewhere in the meantime. Nothing was overwritten: reload to see it, then make your change again.';
    case 'not-asked':
      return 'This is not asked any more: the log has moved on. Reload to see where the ladder stands.';
    case 'note-empty':
      return 'There is nothing in this note. Write a line first.';
    case 'tick':
      return `${issue.day}: “${issue.text}” cannot be read. Write c, s or l for each try, with a tempo before them where it was another: 70 ccs.`;
    case 'day-ahead':
      return `${issue.day} has not come yet. Choose a day up to today.`;
    case 'day-past':
      return `${issue.day} has passed. Choose today or a later day.`;
    case 'week-empty':
      return 'No day has any minutes, so nothing can be planned. Give at least one day some.';
    case 'off-order':
      return `The dates off from ${issue.from} to ${issue.to} end before they begin. Swap them.`;
    case 'off-overlap':
      return `The dates off ${dates(issue.one)} and ${dates(issue.other)} overlap. Make them one, or change an end.`;
    case 'target-past':
      return `The target date ${issue.target} has passed. Choose one from ${issue.today} on, or none.`;
    case 'quiet-empty':
      return `Quiet from ${issue.at} to ${issue.at} is no time at all. Change an end, or take the quiet hours out.`;
    case 'name-missing':
      return `The ${issue.what} has no name. Give it one of up to 80 letters.`;
    case 'nothing-to-play':
      return 'There is nothing to play yet. Choose what goes on under Over, or type a line at Play.';
    case 'not-yours':
      return `This ${issue.what} belongs to someone else. Go back to your own.`;
    case 'not-found':
      return `This ${issue.what} is not here any more. Go back and choose another.`;
    case 'entry-shape':
      return `This entry cannot be stored: ${issue.what}. Leave it out, or tell your teacher.`;
    case 'input-shape':
      return `This cannot be read: ${issue.what}. Shorten or mend it, or reload the page.`;
    case 'program-empty':
      return `${issue.name} has no exercises yet. Add one before you give it to anyone.`;
    case 'already-given':
      return `${issue.student} already has ${issue.program}. They keep their version until you let them follow.`;
    default:
      return unreachable(issue);
  }
}

function dates({ from, to }: { from: string; to: string }): string {
  return from === to ? from : `${from} to ${to}`;
}

/** @example sixteenths(1) // => 'one 16th' */
function sixteenths(count: number): string {
  return count === 1 ? 'one 16th' : `${Math.round(count * 100) / 100} 16ths`;
}

function signed(step: number): string {
  return step > 0 ? `+${step}` : `−${Math.abs(step)}`;
}
