export { RecordedDesk as AudioDesk } from '../recorded-desk';
