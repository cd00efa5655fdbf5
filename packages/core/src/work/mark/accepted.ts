import { type ItemBlock, itemRules } from '../../activity/blocks';
import type { Answer } from '../answer';
import type { Accepted } from '../accepted';
import { judge } from './mark-item';

/** Whether an answer can be accepted besides the key of an item: where that is a list of words, and it is not in it. */
export const mayAccept = (item: ItemBlock, answer: Answer): boolean => accepting(item, answer) !== item;

/** The item with an answer accepted too. */
export const accepting = <B extends ItemBlock>(item: B, answer: Answer): B =>
  (itemRules(item).accept?.(item, answer, judge) as B | undefined) ?? item;

/** The item as it is marked: with all that was accepted since; the same item where nothing was. */
export const withAccepted = <B extends ItemBlock>(item: B, all: readonly Accepted[]): B =>
  all.reduce((b, a) => (a.itemId === item.id ? accepting(b, a.answer) : b), item);
