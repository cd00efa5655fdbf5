export { RecordedDesk as VideoDesk } from '../recorded-desk';
