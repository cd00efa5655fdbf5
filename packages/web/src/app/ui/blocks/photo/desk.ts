export { TakenDesk as PhotoDesk } from '../taken-desk';
