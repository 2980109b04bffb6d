/** The usual cautions, in plain words. Common practice, no source; local rules go first. */
export const CAUTIONS = {
  hearing: 'Wear hearing protection at the kit, and keep to local noise rules.',
  breaks: 'Take a break every half hour.',
  pain: 'Stop on pain, numbness or tingling, and see a licensed health professional.',
} as const;

/** One line for wherever tempo or load is set. */
export const CAUTION_LINE = `${CAUTIONS.hearing} ${CAUTIONS.breaks} ${CAUTIONS.pain}`;
