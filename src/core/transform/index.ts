export { displaceAccents, displacePattern, displaceSticking, pushStroke } from './displace';
export { mirrorHands, mirrorLimbs } from './mirror';
export { footingDifferences, footLayers, FOOTINGS } from './footing';
export { giveTo, revoice, swapFeet } from './reassign';
export { reverseLayer } from './reverse';
export type { Footing, FootingDifference } from './footing';
