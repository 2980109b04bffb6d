/** Remembers, for this tab, the address at which a screen was left. */
export function keepPlace(screen: string, address: string): void {
  sessionStorage.setItem(`mivvel ${screen}`, address);
}

export function lastPlace(screen: string): string | null {
  return sessionStorage.getItem(`mivvel ${screen}`);
}
