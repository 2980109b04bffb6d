export { countPlacements, placements, SPACINGS } from './enumerate';
export { evenPlacement } from './even';
export { placementGrid, placementSlots } from './grid';
export type { PlacementRule } from './enumerate';
