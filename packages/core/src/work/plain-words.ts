/** Lower case, one space between words, no accents, no closing punctuation. */
export function plainWords(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[’']/g, "'")
    .replace(/ß/g, 'ss')
    .replace(/^["“”„«»‘']+(?=\S)|(?<=[\p{L}\p{N}.!?])["“”«»]+$/gu, '')
    .replace(/(?<![.,;:!?])[.,;:!?]+(?=\s|$)/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}
