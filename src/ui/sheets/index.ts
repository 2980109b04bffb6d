export { SheetButton } from './sheet-button';
