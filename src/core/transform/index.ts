export { displaceAccents, displacePattern, displaceSticking, pushStroke } from './displace';
export { mirrorHands, mirrorLimbs } from './mirror';
