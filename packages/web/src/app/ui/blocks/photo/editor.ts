export { TakenEditor as PhotoEditor } from '../taken-editor';
