/** The kit, and the hands that play it. */
export const kit = {
  handedness: {
    right: 'right-handed',
    mirrored: 'mirrored',
    'open-handed': 'open-handed',
    'left-lead': 'left lead',
  },
} as const;
