import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import { Beam, Formatter, Renderer, Stave, StaveNote, Stem, Voice } from 'vexflow/bravura';
import { must } from '@/core/issue';
import { notate, type WrittenSign } from '@/core/notation';
import { blankRecipe, expand, toggleOstinato, type Exercise } from '@/core/recipe';
import { systemsOf } from '@/ui/marks/columns';
import * as engraver from '@/ui/marks/engraver';

const WIDTH = 900;

const LINES = ['4. 4 8 4', '8r 4 4 8 4', '4 8 8 4 4', '4. 4. 4'] as const;

function exerciseOf(bars: number): { exercise: Exercise; edited: Exercise } {
  const text = Array.from({ length: bars }, (_, bar) => LINES[bar % LINES.length]).join(' | ');
  const base = toggleOstinato(blankRecipe(), 'rock-8ths');
  const recipe = { ...base, play: { content: { text } } };
  const exercise = must(expand(recipe));
  const [first] = exercise.strokes;
  if (!first) throw new Error('nothing plays');
  return { exercise, edited: edit(exercise, { ...first, dynamic: 'accent' }) };
}

/** The first stroke louder: one bar differs. */
function edit(exercise: Exercise, first: Exercise['strokes'][number]): Exercise {
  return { ...exercise, strokes: [first, ...exercise.strokes.slice(1)] };
}

function draw(root: Root, exercise: Exercise): void {
  const systems = systemsOf(exercise, { width: WIDTH, gutter: 56, shows: 'staff', engraver });
  flushSync(() =>
    root.render(
      systems.map((system, index) => (
        <engraver.Staff key={index} exercise={exercise} system={system} first={index === 0} />
      )),
    ),
  );
  document.body.getBoundingClientRect();
}

function timed(run: () => void): number {
  const from = performance.now();
  run();
  return performance.now() - from;
}

/** Ms to draw so many bars, and to draw them anew after an edit of one. */
function ours(bars: number): { first: number; again: number } {
  const place = document.body.appendChild(document.createElement('div'));
  const root = createRoot(place);
  const { exercise, edited } = exerciseOf(bars);
  const first = timed(() => draw(root, exercise));
  const again = timed(() => draw(root, edited));
  root.unmount();
  place.remove();
  return { first, again };
}

/** Ms to draw the same bars with the plain library, four in a row. */
function plain(bars: number): number {
  const place = document.body.appendChild(document.createElement('div'));
  const { exercise } = exerciseOf(bars);
  const took = timed(() => {
    const renderer = new Renderer(place, Renderer.Backends.SVG);
    renderer.resize(WIDTH, Math.ceil(bars / 4) * 140);
    const context = renderer.getContext();
    notate(exercise).forEach((bar, index) => {
      const stave = new Stave((index % 4) * 220, Math.floor(index / 4) * 140, 220);
      stave.setContext(context).draw();
      const voices = [bar.hands, bar.feet]
        .filter((signs) => signs.length > 0)
        .map((signs) => signs.map((sign) => note(sign, signs === bar.hands)));
      const beams = voices.flatMap((notes) =>
        Beam.generateBeams(notes, { maintainStemDirections: true }),
      );
      const made = voices.map((notes) => new Voice().setMode(Voice.Mode.SOFT).addTickables(notes));
      new Formatter().joinVoices(made).format(made, 190);
      for (const voice of made) voice.draw(context, stave);
      for (const beam of beams) beam.setContext(context).draw();
    });
    document.body.getBoundingClientRect();
  });
  place.remove();
  return took;
}

function note(sign: WrittenSign, up: boolean): StaveNote {
  const isRest = sign.strokes.length === 0;
  return new StaveNote({
    keys: isRest ? ['b/4'] : sign.strokes.map(() => (up ? 'c/5' : 'f/4')).slice(0, 1),
    duration: `${sign.base}${isRest ? 'r' : ''}`,
    dots: sign.dots,
    stemDirection: up ? Stem.UP : Stem.DOWN,
  });
}

Object.assign(window, { ours, plain });
