export { TakenEditor as VoiceEditor } from '../taken-editor';
