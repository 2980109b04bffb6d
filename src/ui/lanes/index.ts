export { EditableSheet } from './editable-sheet';
