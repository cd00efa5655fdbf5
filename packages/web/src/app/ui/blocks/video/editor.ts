export { RecordedEditor as VideoEditor } from '../recorded-editor';
