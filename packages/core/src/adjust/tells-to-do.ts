import { plainWords } from '../work/plain-words';

/** Verbs with which a task tells somebody to do something: what is written on worksheets, in recipes and at work places. */
const VERBS = new Set(
  `act add agree answer arrange ask attach bake begin bend bounce break bring brush build button calculate carry change check
  choose circle clap clean clear click climb close collect colour color combine compare complete connect continue copy
  correct count cover crawl create cross cut decide describe design dig dip discuss divide do draw dress drag drink drop dry
  eat empty enter erase estimate exchange explain explore feed feel fetch fill find finish fit fix flatten fold follow frame
  gather get give glue go greet grip group guess hammer hand hang heat help hide highlight hit hold imagine invent join jot jump
  keep knock label lay lead leave lift light line link list listen lock look make mark match measure mend mix mop move multiply
  name note number nod observe open order organise organize pack paint pair paste pay peel pick place plan plant play point
  polish post pour practise practice predict press print prepare prove pull pump push put put rake read record relax remember
  remove repeat replace rest retell return rewrite ring rinse roll rotate roughen rub rule say scan scrape screw scrub search
  seal select set sew shade shake shape share sharpen shout show shut sign sing sit sketch skip slice slide smell smooth soak
  solve sort speak spell spin split spray spread squeeze stack stamp stand start stay step stick stir stop stretch sum
  subtract survey sweep swim switch take talk tap taste tear tell test thank think thread throw tick tidy tie tip touch trace
  translate travel trim try tuck turn twist type underline undo unfold unlock unpack untie use visit vote wait walk wash watch
  water wave wear weigh whisper wipe work wrap write zip`
    .split(/\s+/)
    .filter(Boolean),
);

/** What may stand before the verb: "Now carefully write …", "Please do not run", "Don't touch it". */
const BEFORE =
  /^(?:(?:now|please|then|next|first|lastly|finally|again|also|always|never|just|so|and|or|to begin|\w{3,}ly)\b,? )+/;

/** Whether a sentence tells somebody to do something: it begins with a verb, or does so after a part with a comma. */
export function tellsToDo(sentence: string): boolean {
  const begins = (part: string): boolean => {
    const words = plainWords(part).replace(BEFORE, '');
    const [first = '', second = ''] = words.split(' ');
    // "Work is …", "Light falls …", "Water can …": the word is a thing here.
    if (/^(?:is|are|was|were|can|may|will|has|have|had|must|means?|does)$/.test(second)) return false;
    return VERBS.has(first) || /^(?:don't|do not) /.test(words);
  };
  if (begins(sentence)) return true;
  // "When it is dry, paint it." "In the box, write its name."
  const comma = sentence.indexOf(', ');
  return (
    comma > 0 &&
    /^(?:when|if|once|after|before|while|as|in|on|at|with|for|using|to|under|next to|by)\b/i.test(sentence) &&
    begins(sentence.slice(comma + 2))
  );
}
