'use client';

import type { ReactNode } from 'react';
import { Button, useSpeech } from '../base';
import type { RowKind } from '../marks';
import type { Sheet } from './sheet-kept';

/** What is shown of the exercise, and whether it is written on. */
export function SheetBar({
  rows,
  sheet,
  writing,
  onRows,
  onTurn,
  onWrite,
  children,
}: {
  rows: RowKind;
  sheet: Sheet;
  writing: boolean;
  onRows: (rows: RowKind) => void;
  onTurn: (part: keyof Sheet) => void;
  onWrite: (writing: boolean) => void;
  /** Stands before the rest. */
  children: ReactNode;
}) {
  const { say } = useSpeech();
  const { lanes, staff } = sheet;
  const parts: readonly (keyof Sheet)[] = [
    'lanes',
    'staff',
    ...(staff ? (['sticking', 'legend'] as const) : []),
    ...(staff && !lanes ? (['count', 'repeats'] as const) : []),
  ];
  return (
    <div className="mb-1 flex flex-wrap justify-end gap-1">
      {children}
      <span className="grow" />
      {lanes && (
        <Button
          look="quiet"
          aria-pressed={rows === 'limbs'}
          onClick={() => onRows(rows === 'limbs' ? 'voices' : 'limbs')}
        >
          {say.t('screen.bench.rowsByLimb')}
        </Button>
      )}
      {parts.map((part) => (
        <Button key={part} look="quiet" aria-pressed={sheet[part]} onClick={() => onTurn(part)}>
          {say.t(`screen.bench.sheet.${part}`)}
        </Button>
      ))}
      <Button look="quiet" aria-pressed={writing} onClick={() => onWrite(!writing)}>
        {say.t('screen.bench.write')}
      </Button>
    </div>
  );
}
