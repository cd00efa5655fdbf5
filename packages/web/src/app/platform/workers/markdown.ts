import { withShortLines } from '@lorvet/core/intake';
import { marked } from 'marked';

/** Markdown as HTML. */
export const htmlOfMarkdown = async (text: string): Promise<string> =>
  await marked.parse(withShortLines(text), { gfm: true, breaks: false });
