import { lookSchema, USUAL_LOOK, type Look } from '@/core/print';

/** Letter where the language of the browser says so; A4 elsewhere. */
function usualLook(): Look {
  const paper = /-(US|CA|MX|PH)$/.test(navigator.language) ? 'letter' : 'a4';
  return { ...USUAL_LOOK, paper };
}

const KEPT = 'mivvel paper';

/** How sheets looked last, on this device. */
export function readLook(): Look {
  try {
    const kept = lookSchema.safeParse(JSON.parse(localStorage.getItem(KEPT) ?? ''));
    if (kept.success) return kept.data;
  } catch {
    // What is no JSON, or may not be kept, is as usual.
  }
  return usualLook();
}

export function keepLook(look: Look): void {
  try {
    localStorage.setItem(KEPT, JSON.stringify(look));
  } catch {
    // Then it lasts as long as the page.
  }
}
