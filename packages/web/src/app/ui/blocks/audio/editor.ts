export { RecordedEditor as AudioEditor } from '../recorded-editor';
