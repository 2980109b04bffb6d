'use client';

/** One of some numbers in words, and the one that is chosen; none where there is a word for it. */
export function Numbers({
  label,
  value,
  offered,
  none,
  text,
  onChoose,
}: {
  label: string;
  value: string;
  offered: readonly number[];
  none?: string;
  text: (number: number) => string;
  onChoose: (value: string) => void;
}) {
  const numbers = new Set([...offered, ...(value === '' ? [] : [Number(value)])]);
  return (
    <select
      aria-label={label}
      className="field"
      value={value}
      onChange={(event) => onChoose(event.target.value)}
    >
      {none !== undefined && <option value="">{none}</option>}
      {[...numbers]
        .sort((a, b) => a - b)
        .map((one) => (
          <option key={one} value={one}>
            {text(one)}
          </option>
        ))}
    </select>
  );
}
