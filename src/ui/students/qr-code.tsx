'use client';

import { create } from 'qrcode';

/** Modules that have to stay white around a code (ISO/IEC 18004, from memory). */
const QUIET = 4;

/** A code that a phone reads an address from; black on white in every light. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * QUIET;
  let path = '';
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (modules.get(row, column)) path += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
    }
  }
  return (
    <svg role="img" aria-label={label} viewBox={`0 0 ${side} ${side}`} className="size-48">
      <rect width={side} height={side} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
