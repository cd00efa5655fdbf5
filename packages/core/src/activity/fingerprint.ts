import { sha256 } from '@noble/hashes/sha256';
import { bytesToHex } from '@noble/hashes/utils';
import stringify from 'fast-json-stable-stringify';

const known = new WeakMap<object, string>();

/** SHA-256 over the canonical JSON (keys sorted), as 64 hex digits. Equal content gives equal addresses. */
export function contentAddress(value: object): string {
  let address = known.get(value);
  if (address === undefined) {
    address = bytesToHex(sha256(stringify(value)));
    known.set(value, address);
  }
  return address;
}

/** What a target looked like when an adjustment was written: the first 16 digits of its address. */
export const fingerprint = (value: object): string => contentAddress(value).slice(0, 16);
