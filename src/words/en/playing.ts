/** What is said while playing. */
export const playing = {
  click: {
    beats: 'every beat',
    'second beats': '2 and 4',
    pulse: 'true pulse only',
    off: 'off',
  },
  sound: {
    beep: 'beep',
    wood: 'wood',
    stick: 'stick',
    low: 'low',
    clave: 'clave',
    cowbell: 'cowbell',
    shaker: 'shaker',
  },
  bar: 'bar {bar, number}',
  own: 'your own',
  top: 'from the top',
  clickOut: 'click out',
  clickIn: 'click',
  anyLimb: 'not sure which',
} as const;
