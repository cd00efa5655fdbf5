import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

/** A web address that is safe to open: http or https, with a host. Empty until one is given. */
export const webAddressSchema = z
  .string()
  .max(2000)
  .refine(
    (t) => t === '' || safeAddress(t) !== null,
    'This is not a web address that begins with https:// or http://.',
  );

/** The address as a browser reads it, or null where it is none that may be opened. */
export function safeAddress(text: string): { href: string; host: string } | null {
  // Without the URL class, which the core does not have: a scheme, a host without user names, then anything visible.
  const match = /^(https?):\/\/([a-z0-9](?:[a-z0-9.-]*[a-z0-9])?)(:\d{1,5})?([/?#][^\s<>"\\^`{|}]*)?$/i.exec(
    text.trim(),
  );
  const host = match?.[2]?.toLowerCase();
  return match && host?.includes('.') ? { href: text.trim(), host } : null;
}

const what = z.enum(['page', 'video']);
const schema = z.object({
  ...blockBase,
  kind: z.literal('link'),
  url: webAddressSchema,
  title: z.string().max(300),
  what: what.default('page'),
});
type Link = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('link'),
  url: webAddressSchema,
  title: z.string(),
  what,
});

export const link: BlockKind<Link, z.infer<typeof learnerSchema>> = {
  kind: 'link',
  label: 'Link',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'link', audience: 'learner', url: '', title: '', what: 'page' }),
  words: (b) => [{ field: 'title', label: 'What the link shows', text: b.title }],
  withWords: (b, field, text) => (field === 'title' ? { ...b, title: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'link', url: b.url, title: b.title, what: b.what }),
  item: null,
};
