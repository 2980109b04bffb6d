import { PAPERS, type FaceId, type Mark, type Page } from '@/core/print';

const FACES: Readonly<Record<FaceId, string>> = {
  text: 'font-sans',
  strong: 'font-sans font-semibold',
  title: 'font-serif',
  italic: 'font-serif italic',
};

const ANCHORS = { middle: 'middle', right: 'end' } as const;

/** A page of paper as the file has it: the same marks in the same places. */
export function PageView({ page, label }: { page: Page; label: string }) {
  const [width, height] = PAPERS[page.paper];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      data-page
      className="block h-auto w-full"
    >
      <rect width={width} height={height} className="fill-white" />
      <Marks marks={page.marks} />
    </svg>
  );
}

function Marks({ marks }: { marks: readonly Mark[] }) {
  return marks.map((mark, index) => <MarkView key={index} mark={mark} />);
}

function MarkView({ mark }: { mark: Mark }) {
  switch (mark.kind) {
    case 'text': {
      const { x, y, text, size, face, align, soft } = mark;
      return (
        <text
          {...{ x, y, fontSize: size, textAnchor: align && ANCHORS[align] }}
          className={`${FACES[face]} ${soft ? SOFT_FILL : 'fill-black'}`}
        >
          {text}
        </text>
      );
    }
    case 'glyph': {
      const { glyph, x, y, size } = mark;
      const at = `translate(${x} ${y})`;
      return (
        <use
          href={`/notation.svg#${glyph}`}
          transform={size === undefined ? at : `${at} scale(${size})`}
        />
      );
    }
    case 'boxes':
      return (
        <path
          d={mark.boxes.map(([x, y, right, to]) => `M${x} ${y}H${right}V${to}H${x}Z`).join('')}
        />
      );
    case 'path':
      return mark.pen === undefined ? (
        <path d={mark.path} />
      ) : (
        <path
          d={mark.path}
          fill="none"
          strokeWidth={mark.pen}
          className={mark.soft ? SOFT_STROKE : 'stroke-black'}
        />
      );
    case 'group':
      return (
        <g transform={`translate(${mark.x} ${mark.y}) scale(${mark.scale})`}>
          <Marks marks={mark.marks} />
        </g>
      );
  }
}

/** As the file has it. */
const SOFT_FILL = 'fill-[#4a4a4a]';
const SOFT_STROKE = 'stroke-[#4a4a4a]';
