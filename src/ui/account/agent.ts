const BROWSERS = [
  ['Edg/', 'Edge'],
  ['OPR/', 'Opera'],
  ['Firefox/', 'Firefox'],
  ['Chrome/', 'Chrome'],
  ['Safari/', 'Safari'],
] as const;

const SYSTEMS = [
  ['iPad', 'iPad'],
  ['iPhone', 'iPhone'],
  ['Android', 'Android'],
  ['Mac OS', 'Mac'],
  ['Windows', 'Windows'],
  ['CrOS', 'ChromeOS'],
  ['Linux', 'Linux'],
] as const;

/** What a browser is, as far as its own name for itself says so, which is enough to tell one's devices apart.
 * @example nameOfAgent('Mozilla/5.0 (iPad; …) … Safari/604.1') // => { browser: 'Safari', system: 'iPad' } */
export function nameOfAgent(agent: string): { readonly browser: string; readonly system: string } {
  const named = (of: readonly (readonly [string, string])[]) =>
    of.find(([sign]) => agent.includes(sign))?.[1] ?? '';
  return { browser: named(BROWSERS), system: named(SYSTEMS) };
}
