export { TakenDesk as VoiceDesk } from '../taken-desk';
