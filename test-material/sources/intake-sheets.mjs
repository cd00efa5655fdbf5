/**
 * The sheets of test-material/intake. `keys`: each question by the beginning of its words, with its answers (none: []).
 * `secrets`: what no learner may see. `learners`: what learners must see.
 */
const line = '<span class="line"></span>';
const H = (n, text) => ({ text, style: `Heading${n}` });
/** Numbered or lettered by the word processor itself, in its n-th list. */
const q = (n, text) => ({ text, num: [n, 0] });
const o = (n, text) => ({ text, num: [n, 1] });

export const SHEETS = [
  {
    file: 'tides-key-at-end.pdf',
    html: `<h1>Tides</h1><p>Read the text, then answer the questions.</p><p>1. What pulls the sea?<br>A. the moon<br>B. the wind<br>C. the fish</p>
<p>2. How many high tides are there in a day? ${line}</p><p>3. Low water is called the ________ tide.</p><p>4. Why do boats wait in the harbour? Write two sentences.<br>_____________________<br>_____________________</p>
<div class="new"></div><h1>Tides</h1><h2>Answer key</h2><p>1. A</p><p>2. 2</p><p>3. ebb</p><p>4. Because the water is too low for them. They would lie on the sand.</p>`,
    keys: [
      ['What pulls the sea', ['the moon']],
      ['How many high tides', ['2']],
      ['Low water is called', ['ebb']],
      ['Why do boats wait', ['Because the water is too low for them. They would lie on the sand.']],
    ],
    secrets: ['Answer key', 'Because the water', 'ebb'],
    learners: ['Read the text', 'the wind'],
  },
  {
    file: 'clocks-foot-of-page.pdf',
    html: `<h1>What time is it?</h1><p>1. The bus leaves at half past six. Write the time. ${line}</p><p>2. School begins at eight. Write the time. ${line}</p><p>3. Draw the hands for a quarter to four.</p><p>4. When do the two ferries leave? Look at the board. ${line}</p>
<p style="margin-top:180px" class="foot">Teacher notes: have the cardboard clocks ready. Answers: 1) 6:30 2) 8:00 3) as marked 4) 9:05, 11:45. Ask early finishers for the way back.</p>
<div class="new"></div><p>5. How long does the ferry take? ${line}</p><p>6. Is the bus faster? yes / no</p>`,
    keys: [
      ['The bus leaves', ['6:30']],
      ['School begins', ['8:00']],
      ['Draw the hands', []],
      ['When do the two ferries', ['9:05, 11:45']],
      ['How long does', []],
      ['Is the bus faster', []],
    ],
    secrets: ['cardboard clocks', '6:30', '9:05', 'early finishers'],
    learners: ['half past six', 'How long does the ferry'],
  },
  {
    file: 'two-sheets.docx',
    docx: [
      H(1, 'The sea'),
      '1. What pulls the sea?',
      '2. Where do crabs hide?',
      '3. Which bird dives?',
      H(2, 'Answers'),
      '1. the moon',
      '2. under rocks',
      '3. the tern',
      { pageBreak: true },
      H(1, 'Under the ground'),
      '1. Who digs the tunnels?',
      '2. What does it eat?',
      H(2, 'Answers'),
      '1. a mole',
      '2. worms / earthworms',
    ],
    keys: [
      ['What pulls the sea', ['the moon']],
      ['Where do crabs hide', ['under rocks']],
      ['Which bird dives', ['the tern']],
      ['Who digs', ['a mole']],
      ['What does it eat', ['worms', 'earthworms']],
    ],
    secrets: ['the moon', 'under rocks', 'a mole', 'earthworms'],
    learners: ['Under the ground'],
  },
  {
    file: 'two-sheets-keys-last.pdf',
    html: `<h1>Sheet 1: The harbour</h1><p>1. What is a quay? ${line}</p><p>2. Who rings the bell? ${line}</p><div class="new"></div><h1>Sheet 2: The lighthouse</h1><p>1. How many steps are there? ${line}</p><p>2. What colour is the lamp? ${line}</p><p>3. Who lives there? ${line}</p>
<div class="new"></div><h1>Answers</h1><h2>Sheet 1</h2><p>1. a wall for boats</p><p>2. the harbour master</p><h2>Sheet 2</h2><p>1. 112</p><p>2. red</p><p>3. the keeper</p>`,
    keys: [
      ['What is a quay', ['a wall for boats']],
      ['Who rings', ['the harbour master']],
      ['How many steps', ['112']],
      ['What colour', ['red']],
      ['Who lives', ['the keeper']],
    ],
    secrets: ['a wall for boats', '112', 'the keeper'],
    learners: ['The lighthouse'],
  },
  {
    file: 'shapes-table-key.docx',
    docx: [
      H(1, 'Shapes on the boat'),
      '1. The sail has ____ corners.',
      '2. What shape is a window?',
      'A. round',
      'B. square',
      '3. Name the longest side.',
      '**Answer key**',
      {
        rows: [
          ['No.', 'Answer', 'Points'],
          ['1', '3', '1'],
          ['2', 'A', '1'],
          ['3', 'the mast', '2'],
        ],
      },
    ],
    keys: [
      ['The sail has', ['3']],
      ['What shape', ['round']],
      ['Name the longest', ['the mast']],
    ],
    secrets: ['the mast', 'Answer key'],
    learners: ['round', 'square'],
  },
  {
    file: 'weather-table-across.html',
    html: `<h1>Weather words</h1><ol><li>What falls in winter?</li><li>What do we call very strong wind?</li><li>What stands in the sky after rain?</li></ol><h2>Solutions</h2><table><tr><th>1</th><th>2</th><th>3</th></tr><tr><td>snow</td><td>a storm</td><td>a rainbow</td></tr></table>`,
    keys: [
      ['What falls', ['snow']],
      ['What do we call', ['a storm']],
      ['What stands', ['a rainbow']],
    ],
    secrets: ['snow', 'a rainbow'],
    learners: ['Weather words'],
  },
  {
    file: 'garden-letters-row.md',
    text: `# The school garden

1. Which one grows under the ground?
   A. carrot
   B. bean
   C. apple
2. Which one climbs?
   A. onion
   B. pea
3. Which one has a stone?
   A. plum
   B. lettuce

## Key

1 A, 2 B, 3 A
`,
    keys: [
      ['Which one grows', ['carrot']],
      ['Which one climbs', ['pea']],
      ['Which one has a stone', ['plum']],
    ],
    secrets: ['1 A, 2 B'],
    learners: ['lettuce'],
  },
  {
    file: 'questions-and-answers-title.pdf',
    html: `<h1>Questions and answers</h1><p>Ask your partner and write what they say.</p><p>1. What is your favourite animal? ${line}</p><p>2. Where does it live? ${line}</p><p>3. What does it eat? ${line}</p>`,
    keys: [
      ['What is your favourite', []],
      ['Where does it live', []],
      ['What does it eat', []],
    ],
    secrets: [],
    learners: ['Questions and answers', 'Ask your partner'],
  },
  {
    file: 'short-answer-title.docx',
    docx: [
      H(1, 'Bread'),
      H(2, 'Short answer'),
      '1. What makes dough rise? ____________',
      '2. How long does it bake? ____________',
      H(2, 'Long answer'),
      '3. Describe how you knead. ____________________________',
      H(2, 'Find the solution'),
      '4. Six rolls cost 3 coins. What do two rolls cost? ______',
    ],
    keys: [
      ['What makes dough', []],
      ['How long does it bake', []],
      ['Describe how', []],
      ['Six rolls cost', []],
    ],
    secrets: [],
    learners: ['Short answer', 'Long answer', 'Find the solution'],
  },
  {
    file: 'solutions-and-mixtures.html',
    html: `<h1>Solutions and mixtures</h1><p>Salt in water makes a solution. Sand in water makes a mixture.</p><h2>Solutions</h2><p>Stir salt into the water. What do you see?</p><ol><li>What happens to the salt? ________</li><li>Can you get it back? ________</li></ol><h2>Answer the questions</h2><ol start="3"><li>Name one mixture. ________</li></ol>`,
    keys: [
      ['What happens', []],
      ['Can you get', []],
      ['Name one mixture', []],
    ],
    secrets: [],
    learners: ['Solutions and mixtures', 'Stir salt', 'Name one mixture'],
  },
  {
    file: 'teacher-notes-middle.docx',
    docx: [
      H(1, 'Sorting rubbish'),
      'Put each thing into its bin.',
      H(2, 'Teacher notes'),
      'Bring clean rubbish from home. Ines needs the gloves.',
      'Watch for broken glass.',
      H(2, 'Questions'),
      '1. Where does paper go?',
      '2. Where does glass go?',
      H(2, 'Answer key'),
      '1) the blue bin',
      '2) the round bin',
    ],
    keys: [
      ['Where does paper', ['the blue bin']],
      ['Where does glass', ['the round bin']],
    ],
    secrets: ['clean rubbish', 'broken glass', 'the blue bin', 'Teacher notes'],
    learners: ['Put each thing', 'Where does paper'],
  },
  {
    file: 'hidden-and-deleted.docx',
    docx: [
      H(1, 'The ferry'),
      { text: '1. How long does the ferry take?', hiddenRun: ' twenty minutes' },
      { text: '2. Who steers it?', deleted: ' the pilot whale' },
      { text: '3. What does it carry?', comment: 'accept cars and people' },
      { text: 'Secret: the answers are in the drawer.', hidden: true },
    ],
    keys: [
      ['How long does the ferry', []],
      ['Who steers', []],
      ['What does it carry', []],
    ],
    secrets: ['twenty minutes', 'pilot whale', 'accept cars', 'in the drawer'],
    learners: ['The ferry'],
  },
  {
    file: 'page-break-key.docx',
    docx: [
      H(1, 'Numbers to twenty'),
      '1. 7 + 5 = ____',
      '2. 19 - 6 = ____',
      '3. Half of 16 is ____',
      { text: 'Answers', breakBefore: true },
      '1. 12',
      '2. 13',
      '3. 8',
    ],
    keys: [
      ['7 + 5', ['12']],
      ['19 - 6', ['13']],
      ['Half of 16', ['8']],
    ],
    secrets: ['Answers'],
    learners: ['Numbers to twenty'],
  },
  {
    file: 'answer-under-each.html',
    html: `<h1>Birds of the bay</h1><p>1. Which bird dives for fish?</p><p>Answer: the tern</p><p>2. Where do gulls nest? (Answer: on the cliff)</p><p>3. How many eggs has a puffin?</p><p>Answer: ________</p><p>4. Do herons swim? yes / no</p>`,
    keys: [
      ['Which bird dives', ['the tern']],
      ['Where do gulls', ['on the cliff']],
      ['How many eggs', []],
      ['Do herons swim', []],
    ],
    secrets: ['the tern', 'on the cliff'],
    learners: ['Birds of the bay'],
  },
  {
    file: 'maree-corrige.pdf',
    html: `<h1>La marée</h1><p>1. Qu’est-ce qui attire la mer ? ${line}</p><p>2. Combien de fois par jour la mer monte-t-elle ? ${line}</p><p>3. La mer est salée. vrai / faux</p><h2>Corrigé</h2><p>1. la lune</p><p>2. 2</p><p>3. vrai</p>`,
    keys: [
      ['Qu’est-ce qui attire', ['la lune']],
      ['Combien de fois', ['2']],
      ['La mer est salée', ['vrai']],
    ],
    secrets: ['la lune', 'Corrigé'],
    learners: ['La marée'],
  },
  {
    file: 'questions-et-reponses.docx',
    docx: [
      H(1, 'Questions et réponses'),
      'Corrige les phrases, puis réponds.',
      '1. Où dort le hérisson ?',
      '2. Que mange-t-il ?',
      H(2, 'Pour l’enseignant'),
      'Prévoir les images du hérisson.',
      'Réponses : 1) sous les feuilles 2) des insectes',
    ],
    keys: [
      ['Où dort', ['sous les feuilles']],
      ['Que mange', ['des insectes']],
    ],
    secrets: ['Prévoir les images', 'sous les feuilles', 'Pour l’enseignant'],
    learners: ['Questions et réponses', 'Corrige les phrases'],
  },
  {
    file: 'igel-loesungen.pdf',
    html: `<h1>Der Igel</h1><p>Beantworte die Fragen.</p><p>1. Wo schläft der Igel? ${line}</p><p>2. Was frisst er? ${line}</p><p>3. Wann ist er wach?<br>a) am Tag<br>b) in der Nacht</p><div class="new"></div><h1>Lösungen</h1><p>1. unter Laub</p><p>2. Käfer</p><p>3. b</p><h1>Hinweise für die Lehrkraft</h1><p>Zuerst die Bilder zeigen.</p>`,
    keys: [
      ['Wo schläft', ['unter Laub']],
      ['Was frisst', ['Käfer']],
      ['Wann ist er wach', ['in der Nacht']],
    ],
    secrets: ['unter Laub', 'Zuerst die Bilder'],
    learners: ['Beantworte die Fragen'],
  },
  {
    file: 'fragen-und-antworten.md',
    text: `# Fragen und Antworten

## Kurze Antwort

1. Was brennt? ________
2. Was löscht? ________

## Finde die Lösung

3. Drei Kerzen brennen, eine geht aus. Wie viele brennen noch? ________

**Lösungsschlüssel**

1: Holz
2: Wasser
3: 2
`,
    keys: [
      ['Was brennt', ['Holz']],
      ['Was löscht', ['Wasser']],
      ['Drei Kerzen', ['2']],
    ],
    secrets: ['Holz', 'Lösungsschlüssel'],
    learners: ['Fragen und Antworten', 'Kurze Antwort', 'Finde die Lösung'],
  },
  {
    file: 'mercado-respuestas.docx',
    docx: [
      H(1, 'En el mercado'),
      '1. ¿Cuánto cuestan dos panes?',
      '2. ¿Qué compra Lena?',
      'A. peras',
      'B. flores',
      '3. Dibuja tu puesto.',
      H(2, 'Notas para el docente'),
      'Llevar monedas de juguete.',
      H(2, 'Respuestas'),
      '1. 4 monedas',
      '2. B',
      '3. respuesta libre',
    ],
    keys: [
      ['¿Cuánto cuestan', ['4 monedas']],
      ['¿Qué compra', ['flores']],
      ['Dibuja tu puesto', []],
    ],
    secrets: ['monedas de juguete', '4 monedas', 'respuesta libre'],
    learners: ['En el mercado', 'peras'],
  },
  {
    file: 'preguntas-y-respuestas.html',
    html: `<h1>Preguntas y respuestas</h1><h2>Respuesta corta</h2><p>1. ¿Qué es un puente? ________</p><p>2. ¿De qué está hecho? ________</p><p><b>Clave de respuestas</b></p><p>1. un paso sobre el agua</p><p>2. piedra / madera</p>`,
    keys: [
      ['¿Qué es un puente', ['un paso sobre el agua']],
      ['¿De qué está', ['piedra', 'madera']],
    ],
    secrets: ['un paso sobre', 'madera'],
    learners: ['Preguntas y respuestas', 'Respuesta corta'],
  },
  {
    file: 'columns-answers.pdf',
    html: `<h1>Animals at night</h1><div class="cols"><p>1. Which animal hangs upside down while it sleeps in the barn? ${line}</p><p>2. Which animal has very large eyes and turns its head around? ${line}</p><p>3. Which animal rolls into a ball when somebody comes near? ${line}</p><p>4. Which animal sings in the pond on warm evenings in May? ${line}</p><p style="break-before:column"><b>Answers</b></p><p>1. a bat, because it can hold on with its feet</p><p>2. an owl, which hunts mice in the dark fields</p><p>3. a hedgehog, with hundreds of small spines</p><p>4. a frog, which keeps its skin wet in the pond</p></div>`,
    keys: [
      ['Which animal hangs', ['a bat, because it can hold on with its feet']],
      ['Which animal has very', ['an owl, which hunts mice in the dark fields']],
      ['Which animal rolls', ['a hedgehog, with hundreds of small spines']],
      ['Which animal sings', ['a frog, which keeps its skin wet in the pond']],
    ],
    secrets: ['a bat', 'an owl', 'a hedgehog'],
    learners: ['Animals at night'],
  },
  {
    file: 'key-repeats-questions.docx',
    docx: [
      H(1, 'The mill'),
      '1. What turns the wheel?',
      '2. What is made there?',
      'A. flour',
      'B. bricks',
      '3. Who owns the mill?',
      H(1, 'Answer key: The mill'),
      '1. What turns the wheel? the stream',
      '2. What is made there? A',
      '3. Who owns the mill?',
      'Answer: the miller',
    ],
    keys: [
      ['What turns', ['the stream']],
      ['What is made', ['flour']],
      ['Who owns', ['the miller']],
    ],
    secrets: ['the stream', 'the miller'],
    learners: ['bricks'],
  },
  {
    file: 'parts-begin-anew.html',
    html: `<h1>Fire station</h1><h2>Part A</h2><p>1. What colour is the engine? ________</p><p>2. How many wheels has it? ________</p><h2>Part B</h2><p>1. Who drives it? ________</p><p>2. Where does the water come from? ________</p><h1>Answers</h1><h2>Part A</h2><p>1. red 2. 6</p><h2>Part B</h2><p>1. the driver 2. the tank / the river</p>`,
    keys: [
      ['What colour is the engine', ['red']],
      ['How many wheels', ['6']],
      ['Who drives', ['the driver']],
      ['Where does the water', ['the tank', 'the river']],
    ],
    secrets: ['the driver', 'the tank'],
    learners: ['Part A', 'Part B'],
  },
  {
    file: 'key-does-not-fit.md',
    text: `# Kites

1. What lifts a kite?
   A. the wind
   B. the rain
2. Draw a kite with a tail.
3. A kite has ____ strings and ____ tail.

## Answer key

1. C
2. A
3. two
`,
    keys: [
      ['What lifts', []],
      ['Draw a kite', []],
      ['A kite has', []],
    ],
    secrets: ['Answer key'],
    learners: ['Kites'],
  },
  {
    file: 'one-sentence-key.docx',
    docx: [
      H(1, 'The lost bag'),
      '1. Where did Ole lose his bag?',
      '2. Who found it?',
      '3. What was in it?',
      'Answers: 1. on the bus, 2. the driver, 3. a lunch box',
    ],
    keys: [
      ['Where did Ole', ['on the bus']],
      ['Who found it', ['the driver']],
      ['What was in it', ['a lunch box']],
    ],
    secrets: ['on the bus', 'a lunch box'],
    learners: ['The lost bag'],
  },
  {
    file: 'letter-for-the-teacher.pdf',
    html: `<h1>A letter for the teacher</h1><p>Write a letter. Say what you liked in the lesson.</p><p>1. How do you begin? ${line}</p><p>2. How do you end? ${line}</p><p>Check your answers with a partner.</p><p>3. Circle the right answer: a letter needs a stamp. yes / no</p>`,
    keys: [
      ['How do you begin', []],
      ['How do you end', []],
      ['Circle the right answer', []],
    ],
    secrets: [],
    learners: ['Write a letter', 'Check your answers'],
  },
  {
    file: 'snail-answers-bold.docx',
    docx: [
      '**The snail**',
      'Name: ______________',
      '1) Where does the snail live?',
      'a) in a shell',
      'b) in a nest',
      'c) in the sea',
      '2) What does the snail leave behind it?',
      '3) Snails have teeth.   True   /   False',
      '4) Write two things a snail eats.',
      '________________________',
      '________________________',
      '**Answers:**',
      '1) a    2) slime    3) True',
      '4) leaves and fruit',
      '**For the teacher**',
      'Let them hold a snail. Wash hands after.',
    ],
    keys: [
      ['Where does the snail', ['in a shell']],
      ['What does the snail', ['slime']],
      ['Snails have teeth', ['True']],
      ['Write two things', ['leaves and fruit']],
    ],
    secrets: ['slime', 'leaves and fruit', 'Wash hands'],
    learners: ['The snail', 'in a nest'],
  },
  {
    file: 'fractions-key-table.pdf',
    html: `<h2>Fractions of a cake</h2><p>1. One cake, four friends. What part does each get? ${line}</p><p>2. Half of a half is ${line}</p><p>3. Which is more: 1/2 or 1/3? ${line}</p><p>4. 3.5 + 0.7 = ${line}</p><p>5. At what time is the cake ready? It goes in at 11:45 and bakes 45 minutes. ${line}</p><h2>Answer Key</h2><table border="1" cellpadding="6"><tr><td>Question</td><td>Answer</td></tr><tr><td>1</td><td>1/4</td></tr><tr><td>2</td><td>1/4</td></tr><tr><td>3</td><td>1/2</td></tr><tr><td>4</td><td>4.2</td></tr><tr><td>5</td><td>12:30</td></tr></table>`,
    keys: [
      ['One cake', ['0.25']],
      ['Half of a half', ['0.25']],
      ['Which is more', ['0.5']],
      ['3.5 + 0.7', ['4.2']],
      ['At what time', ['12:30']],
    ],
    secrets: ['Answer Key', '12:30'],
    learners: ['Fractions of a cake'],
  },
  {
    file: 'teacher-page-first.docx',
    docx: [
      H(1, 'Lesson plan: Boats that float'),
      H(2, 'Objectives'),
      'Learners sort things that float.',
      H(2, 'Materials'),
      'A bowl, corks, stones.',
      { pageBreak: true },
      H(1, 'Boats that float'),
      '1. Which things float?',
      '☐ cork',
      '☐ stone',
      '☐ feather',
      '2. Why does a boat float? ______________',
      { pageBreak: true },
      H(1, 'Boats that float – answers'),
      '1. cork, feather',
      '2. it is full of air',
    ],
    keys: [
      ['Which things', ['cork', 'feather']],
      ['Why does a boat', ['it is full of air']],
    ],
    secrets: ['Learners sort', 'A bowl', 'full of air'],
    learners: ['Boats that float', 'stone'],
  },
  {
    file: 'map-key-is-none.html',
    html: `<h1>Our island map</h1><h2>Key</h2><ul><li>a blue line is a river</li><li>a black dot is a house</li></ul><h2>Questions</h2><p>1. How many houses are there? ______</p><p>2. Where does the river end? ______</p><h2>Write your answers in sentences</h2><p>3. Describe the way to the beach. ______</p>`,
    keys: [
      ['How many houses', []],
      ['Where does the river', []],
      ['Describe the way', []],
    ],
    secrets: [],
    learners: ['a blue line is a river', 'Write your answers'],
  },
  {
    file: 'answers-to-each-title.md',
    text: `# The baker

1. When does the baker get up?
2. What does she put in the oven?

# The postman

1. What does he carry?
2. Which street is the longest?

# Answers

**The postman**

1. letters
2. Mill Street

**The baker**

1. at three
2. bread
`,
    keys: [
      ['When does the baker', ['at three']],
      ['What does she put', ['bread']],
      ['What does he carry', ['letters']],
      ['Which street', ['Mill Street']],
    ],
    secrets: ['letters', 'at three'],
    learners: ['The baker', 'The postman'],
  },
  {
    file: 'one-key-two-sheets-unclear.html',
    html: `<h1>Sheet one</h1><p>1. What burns? ______</p><p>2. What floats? ______</p><h1>Sheet two</h1><p>1. What rolls? ______</p><p>2. What bounces? ______</p><h1>Answer key</h1><p>1. wood</p><p>2. cork</p>`,
    keys: [
      ['What burns', []],
      ['What floats', []],
      ['What rolls', []],
      ['What bounces', []],
    ],
    secrets: ['wood', 'cork'],
    learners: ['Sheet two'],
  },
  {
    file: 'puce-corrige-tableau.docx',
    docx: [
      H(2, 'La course'),
      '1) Qui gagne la course ?',
      'a. le lièvre',
      'b. la tortue',
      '2) Pourquoi ? ____________________',
      '3) Complète : Le lièvre ______ et la tortue ______ .',
      H(2, 'Corrigé et remarques'),
      {
        rows: [
          ['Question', 'Réponse'],
          ['1', 'b'],
          ['2', 'elle ne s’arrête pas'],
          ['3', 'dort, marche'],
        ],
      },
    ],
    keys: [
      ['Qui gagne', ['la tortue']],
      ['Pourquoi', ['elle ne s’arrête pas']],
      ['Complète', ['dort', 'marche']],
    ],
    secrets: ['ne s’arrête pas', 'Corrigé'],
    learners: ['le lièvre'],
  },
  {
    file: 'teil-a-teil-b.pdf',
    html: `<h1>Auf dem Markt</h1><h2>Teil A</h2><p>1. Was kostet ein Brot? ${line}</p><p>2. Was kostet ein Kilo Äpfel? ${line}</p><h2>Teil B</h2><p>1. Wer verkauft Fisch? ${line}</p><p>2. Richtig oder falsch: Der Markt ist am Montag. richtig / falsch</p><p style="margin-top:60px"><b>Lösungen Teil A:</b> 1. 3 Taler 2. 2 Taler</p><p><b>Lösungen Teil B:</b> 1. Frau Möwe 2. falsch</p><p><b>Für die Lehrkraft:</b> Spielgeld bereitlegen.</p>`,
    keys: [
      ['Was kostet ein Brot', ['3 Taler']],
      ['Was kostet ein Kilo', ['2 Taler']],
      ['Wer verkauft', ['Frau Möwe']],
      ['Richtig oder falsch', ['falsch']],
    ],
    secrets: ['Frau Möwe', 'Spielgeld'],
    learners: ['Teil A', 'Teil B'],
  },
  {
    file: 'puente-clave-frase.pdf',
    html: `<h1>El puente</h1><p>1. ¿Quién cruza el puente? ${line}</p><p>2. ¿Cuántos arcos tiene? ${line}</p><p>3. El puente es de ________ y de ________ .</p><p class="foot">Clave de respuestas: 1) la cabra 2) 5 3) piedra, madera. Para el docente: leer el cuento dos veces.</p>`,
    keys: [
      ['¿Quién cruza', ['la cabra']],
      ['¿Cuántos arcos', ['5']],
      ['El puente es', ['piedra', 'madera']],
    ],
    secrets: ['la cabra', 'leer el cuento'],
    learners: ['El puente'],
  },
  {
    file: 'quiz-marked-choices.docx',
    docx: [
      H(1, 'Knots quiz'),
      '1. Which knot makes a loop?',
      'A. bowline',
      'B. reef knot',
      '2. Which knot joins two ropes?',
      'A. bowline',
      'B. reef knot',
      { text: 'Knots quiz', breakBefore: true, style: 'Heading1' },
      '**TEACHER COPY**',
      '1. Which knot makes a loop?',
      '**A. bowline**',
      'B. reef knot',
      '2. Which knot joins two ropes?',
      'A. bowline',
      '**B. reef knot** ✓',
    ],
    keys: [
      ['Which knot makes', []],
      ['Which knot joins', []],
    ],
    secrets: ['TEACHER COPY', '✓'],
    learners: ['Knots quiz', 'reef knot'],
  },
  {
    file: 'answers-without-numbers.html',
    html: `<h1>Sums</h1><p>1) 3 + 4 = ___</p><p>2) 8 - 5 = ___</p><p>3) 2 x 6 = ___</p><p>Answers: 7, 3, 12</p>`,
    keys: [
      ['3 + 4', ['7']],
      ['8 - 5', ['3']],
      ['2 x 6', ['12']],
    ],
    secrets: ['7, 3, 12'],
    learners: ['Sums'],
  },
  {
    file: 'gaps-by-letters.md',
    text: `# Verbs

1. a) She ___ (go) home. b) They ___ (run).
2. He ___ (be) tired.

## Key:

1. a) goes b) run
2. is
`,
    keys: [
      ['a) She', ['goes', 'run']],
      ['He', ['is']],
    ],
    secrets: ['goes b) run'],
    learners: ['Verbs'],
  },
  {
    file: 'marking-guide.docx',
    docx: [
      H(1, 'Ice and steam'),
      'Q1 What is ice?',
      'Q2 What is steam?',
      'Q3 Ice is lighter than water. T / F',
      H(2, 'Marking guide'),
      'Q1 frozen water (1 mark)',
      'Q2 water as a gas (1 mark)',
      'Q3 T (1 mark)',
    ],
    keys: [
      ['What is ice', ['frozen water']],
      ['What is steam', ['water as a gas']],
      ['Ice is lighter', ['T']],
    ],
    secrets: ['frozen water', 'Marking guide'],
    learners: ['Ice and steam'],
  },
  {
    file: 'answer-key-running.html',
    html: `<h1>Stars</h1><p>1. Name a planet. ____</p><p>2. Name a star. ____</p><p>ANSWER KEY 1. Mars 2. the sun</p>`,
    keys: [
      ['Name a planet', ['Mars']],
      ['Name a star', ['the sun']],
    ],
    secrets: ['Mars', 'ANSWER KEY'],
    learners: ['Stars'],
  },
  {
    file: 'questions-in-a-table.html',
    html: `<h1>What time is it?</h1><table><tr><td>1. Half past six</td><td>______</td></tr><tr><td>2. Quarter to four</td><td></td></tr></table><p>Answers</p><table><tr><td>1</td><td>6:30</td></tr><tr><td>2</td><td>3:45</td></tr></table>`,
    keys: [
      ['Half past six', ['6:30']],
      ['Quarter to four', ['3:45']],
    ],
    secrets: ['6:30', '3:45'],
    learners: ['What time is it?'],
  },
  {
    file: 'key-in-brackets.md',
    text: `# Sums with a key

1. 5 + 5 = ____
2. Where is the key? ____

(Answers: 1. 10, 2. The key is under the mat)
`,
    keys: [
      ['5 + 5', ['10']],
      ['Where is the key', ['The key is under the mat']],
    ],
    secrets: ['under the mat'],
    learners: ['Sums with a key'],
  },
  {
    file: 'birds-numbered-by-word.docx',
    docx: [
      H(1, 'Birds of the marsh'),
      'Choose the best answer.',
      q(1, 'Which bird has long legs?'),
      o(1, 'a heron'),
      o(1, 'a robin'),
      o(1, 'a duck'),
      q(1, 'What does it eat?'),
      o(1, 'seeds'),
      o(1, 'fish'),
      o(1, 'bread'),
      q(1, 'Where does it sleep?'),
      o(1, 'in trees'),
      o(1, 'under water'),
      o(1, 'in the sand'),
      { pageBreak: true },
      H(1, 'Answers'),
      q(2, 'a heron'),
      q(2, 'fish'),
      q(2, 'in trees'),
    ],
    keys: [
      ['Which bird', ['a heron']],
      ['What does it eat', ['fish']],
      ['Where does it sleep', ['in trees']],
    ],
    secrets: ['Answers'],
    learners: ['under water', 'Choose the best'],
  },
  {
    file: 'water-note-in-a-frame.md',
    text: `# The water cycle\n\n> **Teacher note:** Give the picture to group 2 first. They need ten minutes more.\n\n1. What rises from the sea?\n2. What falls from clouds?\n3. Where does the river end?\n\n---\n\n**Answers:** 1. vapour; 2. rain; 3. in the sea\n`,
    keys: [
      ['What rises', ['vapour']],
      ['What falls', ['rain']],
      ['Where does the river', ['in the sea']],
    ],
    secrets: ['group 2', 'vapour', 'in the sea'],
    learners: ['What rises'],
  },
  {
    file: 'answers-upside-down.pdf',
    html: `<h1>Number puzzles</h1><p>1. 6 + 7 = ${line}</p><p>2. 15 - 8 = ${line}</p><p>3. 9 x 3 = ${line}</p><div style="margin-top:260px;transform:rotate(180deg);font-size:9pt">Answers: 1) 13 2) 7 3) 27</div>`,
    keys: [
      ['6 + 7', ['13']],
      ['15', ['7']],
      ['9 x 3', ['27']],
    ],
    secrets: ['27', 'Answers'],
    learners: ['Number puzzles'],
  },
  {
    file: 'answer-sheet-to-write-on.md',
    text: `# Answer sheet\n\nName: ____________\n\nWrite your answers here.\n\n1. ____________\n2. ____________\n\n## Reading: The lost boot\n\n1. Who lost a boot?\n2. Where was it?\n\n## For the teacher: answers\n\n1. Old Bram\n2. in the well\n`,
    keys: [
      ['Who lost', ['Old Bram']],
      ['Where was it', ['in the well']],
    ],
    secrets: ['Old Bram', 'in the well'],
    learners: ['Write your answers here', 'Who lost'],
  },
  {
    file: 'teachers-key-short-lines.md',
    text: `# Salt and sand\n\nAnswers in full sentences, please.\n\nSolutions: some things melt away in water, and some do not.\n\n1. What does salt do in water?\n2. What does sand do in water?\n\n# Teacher's key\n\n1 It melts away.\n2 It sinks.\n`,
    keys: [
      ['What does salt', ['It melts away']],
      ['What does sand', ['It sinks']],
    ],
    secrets: ['It sinks', 'Teacher'],
    learners: ['full sentences', 'Solutions: some'],
  },
  {
    file: 'white-words.html',
    html: `<h1>Colours</h1><ol><li>What colour is grass? <span style="color:#fff">green</span></li><li>What colour is snow? <span style="color: white">white</span></li></ol><p>Think first.</p>`,
    keys: [
      ['What colour is grass', []],
      ['What colour is snow', []],
    ],
    secrets: ['green'],
    learners: ['Think first'],
  },
  {
    file: 'parts-on-one-line-each.pdf',
    html: `<h1>Money</h1><h2>Part A</h2><p>1. How many pence make a pound? ${line}</p><p>2. Which coin is larger?<br>a) 2p<br>b) 5p</p><h2>Part B</h2><p>1. Ivo has 50p and buys a roll for 30p. What is left? ${line}</p><h2>Teacher's answers</h2><p>Part A: 1. 100, 2. a</p><p>Part B: 1. 20p</p>`,
    keys: [
      ['How many pence', ['100']],
      ['Which coin', ['2p']],
      ['Ivo has', ['20 p']],
    ],
    secrets: ["Teacher's answers", '20p'],
    learners: ['Part B', 'Ivo has'],
  },
  {
    file: 'opposites-in-columns.pdf',
    html: `<h1>Opposites</h1><div class="cols"><p>1. hot ${line}</p><p>2. big ${line}</p><p>3. wet ${line}</p><p>4. early ${line}</p></div><div class="new"></div><h1>Opposites – Answers</h1><div class="cols"><p>1. cold</p><p>2. small</p><p>3. dry</p><p>4. late</p></div>`,
    keys: [
      ['hot', ['cold']],
      ['big', ['small']],
      ['wet', ['dry']],
      ['early', ['late']],
    ],
    secrets: ['cold', 'late'],
    learners: ['Opposites', 'early'],
  },
  {
    file: 'numbers-without-a-sign.md',
    text: `# The post office\n\nFill in the missing words.\n\n1. You put a ______ on the letter.\n2. The ______ carries the bag.\n3. A letter box is often ______.\n\nWord bank: stamp, red, postwoman\n\nAnswers: 1 stamp, 2 postwoman, 3 red\n`,
    keys: [
      ['You put a', ['stamp']],
      ['The', ['postwoman']],
      ['A letter box', ['red']],
    ],
    secrets: ['1 stamp'],
    learners: ['Word bank', 'Fill in'],
  },
  {
    file: 'bullets-with-letters.md',
    text: `# Space quiz\n\n1. What is the sun?\n   - A) a planet\n   - B) a star\n   - C) a moon\n2. What do planets do?\n   - A) stand still\n   - B) go round the sun\n   - C) burn\n\n***\n\nKey: 1-B 2-B\n`,
    keys: [
      ['What is the sun', ['a star']],
      ['What do planets', ['go round the sun']],
    ],
    secrets: ['1-B'],
    learners: ['stand still'],
  },
  {
    file: 'rivers-table-with-titles.docx',
    docx: [
      H(1, 'Rivers'),
      'Answer in the table.',
      {
        rows: [
          ['Question', 'Your answer'],
          ['1. Where does a river begin?', ''],
          ['2. What is its mouth?', ''],
        ],
      },
      H(1, 'Answer key'),
      {
        rows: [
          ['Question', 'Answer'],
          ['1. Where does a river begin?', 'at its source'],
          ['2. What is its mouth?', 'where it meets the sea'],
        ],
      },
    ],
    keys: [
      ['Where does a river', ['at its source']],
      ['What is its mouth', ['where it meets the sea']],
    ],
    secrets: ['at its source', 'meets the sea'],
    learners: ['Answer in the table'],
  },
  {
    file: 'vrai-faux-une-ligne.docx',
    docx: [
      H(1, 'Vrai ou faux ?'),
      'Écris V ou F.',
      '1. Le soleil est froid. ___',
      '2. La glace est de l’eau. ___',
      '3. Les chats volent. ___',
      '**Corrigé :** 1 F – 2 V – 3 F',
    ],
    keys: [
      ['Le soleil', ['F']],
      ['La glace', ['V']],
      ['Les chats', ['F']],
    ],
    secrets: ['1 F'],
    learners: ['Écris V ou F'],
  },
  {
    file: 'teacher-use-then-solutions.pdf',
    html: `<h1>Cleaning solutions</h1><p>A cleaner mixes solutions of soap and water.</p><p>1. He needs 3 cups of soap for 9 cups of water. How much soap for 18 cups? ${line}</p><p>2. Which solution is stronger, 1 in 3 or 1 in 6? ${line}</p><h2>Explain your solutions</h2><p>3. How did you find question 1? ${line}</p><p style="font-size:8pt;margin-top:100px">Teacher use only. Solutions 1) 6 cups 2) 1 in 3 3) answers vary</p>`,
    keys: [
      ['He needs 3', ['6 cups']],
      ['Which solution', ['1 in 3']],
      ['How did you', []],
    ],
    secrets: ['Teacher use', 'answers vary'],
    learners: ['Explain your solutions'],
  },
  {
    file: 'magnets-note-in-a-box.docx',
    docx: [
      H(1, 'Magnets'),
      { rows: [['**Note to teachers:** Magnets are in the blue box. Keep them away from the tablets.']] },
      q(1, 'What does a magnet pull?'),
      q(1, 'Does it pull wood?'),
      q(1, 'What are its two ends called?'),
      '**Answer Key**',
      'Q1: iron',
      'Q2: no',
      'Q3: poles',
    ],
    keys: [
      ['What does a magnet', ['iron']],
      ['Does it pull wood', ['no']],
      ['What are its two', ['poles']],
    ],
    secrets: ['blue box', 'iron', 'poles'],
    learners: ['What does a magnet'],
  },
  {
    file: 'white-words.docx',
    docx: [
      H(1, 'Coins'),
      { text: '1. Which coin is the largest? ', white: 'the crown' },
      { text: '2. Which coin is the smallest? ', white: 'the farthing' },
    ],
    keys: [
      ['Which coin is the largest', []],
      ['Which coin is the smallest', []],
    ],
    secrets: ['the crown', 'the farthing'],
    learners: ['Which coin is the largest'],
  },
  {
    file: 'bakery-key-in-a-sentence.docx',
    docx: [
      H(1, 'The bakery'),
      '1. What time does the baker get up?',
      '2. What does he light first?',
      '3. Which bread sells best?',
      'Answers for checking: 1 is four o’clock, 2 is the oven, 3 is rye bread.',
    ],
    keys: [
      ['What time', ['four o’clock']],
      ['What does he', ['the oven']],
      ['Which bread', ['rye bread']],
    ],
    secrets: ['rye bread', 'the oven'],
    learners: ['The bakery'],
  },
  {
    file: 'metiers-tableau.pdf',
    html: `<h1>Les métiers</h1><p>Relie chaque personne à son travail.</p><p>1. Qui éteint le feu ? ${line}</p><p>2. Qui répare les tuyaux ? ${line}</p><p>3. Qui soigne les animaux ? ${line}</p><div class="new"></div><h1>Correction</h1><table border=1><tr><td>N°</td><td>Réponse</td></tr><tr><td>1</td><td>la pompière</td></tr><tr><td>2</td><td>le plombier</td></tr><tr><td>3</td><td>la vétérinaire</td></tr></table>`,
    keys: [
      ['Qui éteint', ['la pompière']],
      ['Qui répare', ['le plombier']],
      ['Qui soigne', ['la vétérinaire']],
    ],
    secrets: ['pompière', 'plombier'],
    learners: ['Relie chaque'],
  },
  {
    file: 'possible-answers-are-learners.md',
    text: `# Feelings\n\nPossible answers: happy, sad, angry. Choose one for each face.\n\n1. He lost his dog. ______\n2. She won a cup. ______\n3. They broke his toy. ______\n\n## Key\n\n1. sad\n2. happy\n3. angry\n`,
    keys: [
      ['He lost', ['sad']],
      ['She won', ['happy']],
      ['They broke', ['angry']],
    ],
    secrets: ['Key'],
    learners: ['Choose one for each face'],
  },
  {
    file: 'bold-question-numbers.html',
    html: `<h2>Reading check</h2><p><b>Question 1:</b> Who hid in the barn?</p><p><b>Question 2:</b> What did she carry?</p><p><b>Question 3:</b> Why was it dark?</p><h2>Suggested answers</h2><p><b>Question 1:</b> Mira</p><p><b>Question 2:</b> a lantern</p><p><b>Question 3:</b> The moon was behind clouds.</p>`,
    keys: [
      ['Who hid', ['Mira']],
      ['What did she', ['a lantern']],
      ['Why was it', ['The moon was behind clouds']],
    ],
    secrets: ['a lantern', 'behind clouds'],
    learners: ['Reading check'],
  },
  {
    file: 'measure-by-letters.docx',
    docx: [
      H(1, 'Measure it'),
      'a) How long is a pencil?',
      'b) How long is a shoe?',
      'c) How tall is a door?',
      H(1, 'Answer key'),
      'a) 17 cm',
      'b) 24 cm',
      'c) 2 m',
    ],
    keys: [
      ['How long is a pencil', ['17 cm']],
      ['How long is a shoe', ['24 cm']],
      ['How tall', ['2 m']],
    ],
    secrets: ['17 cm', '2 m'],
    learners: ['Measure it'],
  },
  {
    file: 'homes-to-match.docx',
    docx: [
      H(1, 'Match'),
      'Write the letter of the home.',
      '1. bird ____',
      '2. fox ____',
      '3. bee ____',
      'A. a den',
      'B. a hive',
      'C. a nest',
      H(1, 'Answers'),
      '1-C, 2-A, 3-B',
    ],
    keys: [
      ['bird', ['C']],
      ['fox', ['A']],
      ['bee', ['B']],
    ],
    secrets: ['1-C'],
    learners: ['a hive'],
  },
  {
    file: 'spelling-teachers-list.html',
    html: `<h1>Spelling test</h1><table border="1"><tr><th>No.</th><th>Word</th><th>Correct?</th></tr><tr><td>1</td><td></td><td></td></tr><tr><td>2</td><td></td><td></td></tr></table><h1>Spelling test: teacher's list</h1><table><tr><th>No.</th><th>Word</th></tr><tr><td>1</td><td>harbour</td></tr><tr><td>2</td><td>anchor</td></tr></table>`,
    keys: [],
    secrets: ['harbour', 'anchor'],
    learners: ['Correct?'],
  },
  {
    file: 'rechnen-unterpunkte.docx',
    docx: [
      H(1, 'Rechnen bis 20'),
      '1. Rechne aus.',
      'a) 3 + 4 = ____',
      'b) 5 + 6 = ____',
      '2. Schreibe die Nachbarn.',
      'a) ____, 8, ____',
      '3. Wie heißt das Ergebnis?',
      H(2, 'Lösungen'),
      '1. a) 7 b) 11',
      '3. Summe',
    ],
    keys: [
      ['3 + 4', ['7']],
      ['5 + 6', ['11']],
      ['Wie heißt', ['Summe']],
    ],
    secrets: ['Summe'],
    learners: ['Rechne aus', 'Nachbarn'],
  },
  {
    file: 'doubles-by-letters.md',
    text: `# Doubles\n\n1. Double each number.\n\n   a) 4 → ____\n\n   b) 7 → ____\n\n2. What is half of 30?\n\n# Answer key\n\n1. a) 8\n\n   b) 14\n\n2. 15\n`,
    keys: [
      ['4', ['8']],
      ['7', ['14']],
      ['What is half', ['15']],
    ],
    secrets: ['Answer key'],
    learners: ['Double each number'],
  },
  {
    file: 'note-then-questions.md',
    text: `# Frost\n\nTeacher note: read the poem aloud twice before they begin.\n\n1. What covers the window?\n2. Who wakes first?\n\nAnswers\n\n1. frost\n2. the cat\n`,
    keys: [
      ['What covers', ['frost']],
      ['Who wakes', ['the cat']],
    ],
    secrets: ['aloud twice', 'the cat'],
    learners: ['Who wakes first'],
  },
  {
    file: 'map-squares-drawn-table.pdf',
    html: `<h1>Maps</h1><p>1. Which square has the pond? ${line}</p><p>2. Which square has the mill? ${line}</p><p>3. What is at B3? ${line}</p><div class="new"></div><h1>Answer sheet for teachers</h1><table border=1 cellpadding=6><tr><th>Question</th><th>Answer</th></tr><tr><td>1</td><td>A2</td></tr><tr><td>2</td><td>C1</td></tr><tr><td>3</td><td>the bridge</td></tr></table>`,
    keys: [
      ['Which square has the pond', ['A2']],
      ['Which square has the mill', ['C1']],
      ['What is at', ['the bridge']],
    ],
    secrets: ['the bridge', 'C1'],
    learners: ['Maps'],
  },
  {
    file: 'garden-key-without-numbers.pdf',
    html: `<h1>The garden</h1><p>Fill in: soil, rain, worm.</p><p>1. Seeds lie in the ________ .</p><p>2. The ________ makes it wet.</p><p>3. A ________ digs below.</p><p style="font-size:8pt">Key: soil / rain / worm</p>`,
    keys: [
      ['Seeds lie', ['soil']],
      ['The', ['rain']],
      ['A', ['worm']],
    ],
    secrets: ['Key'],
    learners: ['Fill in'],
  },
  {
    file: 'teacher-page-accepts.docx',
    docx: [
      H(1, 'Animals'),
      '1. Which animal gives wool?',
      '2. Which animal gives honey?',
      { pageBreak: true },
      H(1, 'TEACHER PAGE'),
      'Time: 20 minutes',
      'Answers:',
      '1. sheep',
      '2. bee (accept: bees)',
      'Follow-up: visit the farm.',
    ],
    keys: [
      ['Which animal gives wool', ['sheep']],
      ['Which animal gives honey', ['bee', 'bees']],
    ],
    secrets: ['visit the farm', 'sheep', '20 minutes'],
    learners: ['Animals'],
  },
  {
    file: 'trees-answers-under-headings.docx',
    docx: [
      H(1, 'Week 4: Trees'),
      H(2, 'Warm-up'),
      '1. Name a tree with needles.',
      H(2, 'Reading questions'),
      '2. How do trees drink?',
      '3. What is a tree ring?',
      H(2, 'Teacher section'),
      H(3, 'Answers to the warm-up'),
      '1. pine',
      H(3, 'Answers to the reading questions'),
      '2. through their roots',
      '3. one year of growth',
      H(2, 'Homework'),
      '4. Collect three leaves.',
    ],
    keys: [
      ['Name a tree', ['pine']],
      ['How do trees', ['through their roots']],
      ['What is a tree ring', ['one year of growth']],
      ['Collect three', []],
    ],
    secrets: ['pine', 'one year of growth', 'Teacher section'],
    learners: ['Homework', 'Collect three'],
  },
  {
    file: 'animales-en-columnas.pdf',
    html: `<h1>Animales</h1><div class="cols"><p>1. ¿Qué come la vaca? ${line}</p><p>2. ¿Dónde vive el pez? ${line}</p><p>3. ¿Qué come el gato? ${line}</p><p>4. ¿Dónde vive el pájaro? ${line}</p></div><h2>Respuestas</h2><p>1. hierba 2. en el agua 3. ratones 4. en el nido</p>`,
    keys: [
      ['¿Qué come la', ['hierba']],
      ['¿Dónde vive el pez', ['en el agua']],
      ['¿Qué come el', ['ratones']],
      ['¿Dónde vive el pájaro', ['en el nido']],
    ],
    secrets: ['ratones', 'en el nido'],
    learners: ['Animales'],
  },
  {
    file: 'worked-example-is-learners.md',
    text: `# Adding money\n\n## Worked example\n\nQuestion: 2.40 + 1.10\n\nAnswer: 3.50\n\n## Your turn\n\n1. 1.20 + 2.30 = ____\n2. 4.10 + 0.90 = ____\n\n## Answers (teacher)\n\n1. 3.50\n2. 5.00\n`,
    keys: [
      ['1.20', ['3.5']],
      ['4.10', ['5']],
    ],
    secrets: ['5.00'],
    learners: ['Worked example', '2.40 + 1.10'],
  },
  {
    file: 'boxes-on-lines.html',
    html: `<h1>What floats?</h1><p>1. Tick what floats.</p><p>☐ cork<br>☐ stone<br>☐ wood</p><p>2. Tick what sinks.</p><p>☐ coin<br>☐ leaf</p><h2>Answer key</h2><p>1. cork, wood</p><p>2. coin</p>`,
    keys: [
      ['Tick what floats', ['cork', 'wood']],
      ['Tick what sinks', ['coin']],
    ],
    secrets: ['Answer key'],
    learners: ['stone'],
  },
  {
    file: 'true-or-false-table.docx',
    docx: [
      H(1, 'True or false?'),
      {
        rows: [
          ['', 'True', 'False'],
          ['1. Ice is cold.', '', ''],
          ['2. Fire is wet.', '', ''],
        ],
      },
      H(2, 'Answers'),
      '1. True',
      '2. False',
    ],
    keys: [
      ['Ice is cold', ['True']],
      ['Fire is wet', ['False']],
    ],
    secrets: ['Answers'],
    learners: ['Ice is cold'],
  },
  {
    file: 'roman-parts.docx',
    docx: [
      H(1, 'Test'),
      '**I. Spelling**',
      '1. Write the word for a baby dog.',
      '2. Write the word for a baby cat.',
      '**II. Grammar**',
      '1. Past of go?',
      '2. Past of see?',
      '**Answer key**',
      'I. 1. puppy 2. kitten',
      'II. 1. went 2. saw',
    ],
    keys: [
      ['Write the word for a baby dog', ['puppy']],
      ['Write the word for a baby cat', ['kitten']],
      ['Past of go', ['went']],
      ['Past of see', ['saw']],
    ],
    secrets: ['puppy', 'went'],
    learners: ['Grammar'],
  },
  {
    file: 'mill-whole-lesson.pdf',
    html: `<p style="font-size:9pt">Unit 3 · Lesson 2 &nbsp;&nbsp; Name ______________ Date __________</p><h1>The Mill on the Hill</h1><p>Old Garrick has a mill. When the wind blows, the sails turn and the great stone grinds the corn. On still days he mends sacks and tells stories to anybody who climbs the hill.</p>
<h2>Part 1: Choose</h2><p>Circle the right letter. (1 point each)</p><p>1. What turns the sails?</p><p>A. the corn &nbsp; B. the wind &nbsp; C. the stone</p><p>2. What does Garrick do on still days?</p><p>A. He mends sacks.</p><p>B. He sleeps.</p><p>C. He sells stones.</p>
<h2>Part 2: Write</h2><p>3. What does the stone grind? ${line}</p><p>4. Where is the mill? ${line}</p><p>5. Why do people climb the hill?</p><p>____________________________________________</p><p>____________________________________________</p>
<h2>Part 3: True or false</h2><p>6. The mill works every day. True / False</p><p>7. Garrick tells stories. True / False</p><p style="font-size:8pt">Page 1 of 2</p>
<div class="new"></div><p style="font-size:9pt">Unit 3 · Lesson 2 – Teacher copy</p><h1>The Mill on the Hill: Answers</h1><h2>Part 1</h2><p>1. B</p><p>2. A</p><h2>Part 2</h2><p>3. corn</p><p>4. on the hill</p><p>5. To hear stories (any sensible reason)</p><h2>Part 3</h2><p>6. False</p><p>7. True</p><p>Marking: 10 points in all.</p>`,
    keys: [
      ['What turns', ['the wind']],
      ['What does Garrick', ['He mends sacks.']],
      ['What does the stone', ['corn']],
      ['Where is the mill', ['on the hill']],
      ['Why do people', ['To hear stories (any sensible reason)']],
      ['The mill works', ['False']],
      ['Garrick tells', ['True']],
    ],
    secrets: ['any sensible', '10 points in all'],
    learners: ['Old Garrick has a mill', 'Circle the right letter'],
  },
  {
    file: 'solids-whole-lesson.docx',
    docx: [
      { text: 'Science – Year 4' },
      H(1, 'Solids and liquids'),
      'Name: ______________   Class: ____',
      H(2, 'Read'),
      'A solid keeps its shape. A liquid takes the shape of its cup. Ice is a solid and water is a liquid.',
      H(2, 'Questions'),
      q(1, 'What keeps its shape?'),
      q(1, 'What takes the shape of its cup?'),
      q(1, 'Is ice a solid or a liquid?'),
      o(1, 'a solid'),
      o(1, 'a liquid'),
      q(1, 'Sort these: milk, stone, juice, wood.'),
      {
        rows: [
          ['Solids', 'Liquids'],
          ['', ''],
          ['', ''],
        ],
      },
      q(1, 'Write one more solid.'),
      { pageBreak: true },
      H(1, 'For the teacher'),
      H(2, 'You will need'),
      'ice, water, cups',
      H(2, 'Answers'),
      q(2, 'a solid'),
      q(2, 'a liquid'),
      q(2, 'a solid'),
      q(2, 'Solids: stone, wood. Liquids: milk, juice.'),
      q(2, 'Answers vary.'),
      H(2, 'Support'),
      'Let group 1 hold the ice.',
    ],
    keys: [
      ['What keeps', ['a solid']],
      ['What takes', ['a liquid']],
      ['Is ice', ['a solid']],
      ['Write one more', []],
    ],
    secrets: ['hold the ice', 'You will need', 'Answers vary'],
    learners: ['A solid keeps its shape', 'Sort these'],
  },
  {
    file: 'money-whole-lesson.md',
    text: `# Money at the market\n\n*Instructions: Work alone. Show how you got your answers.*\n\n**Part A**\n\n1. A melon costs 3. You pay with 5. What is your change?\n2. Two pears cost 1.20. What does one cost?\n\n**Part B**\n\n3. Which costs more?\n   - a) three plums at 40 p each\n   - b) one melon at 1.10\n4. You have 10. You buy a basket for 6.50. What is left?\n\n**Challenge**\n\n5. Make a shopping list that costs exactly 5.\n\n---\n\n## Teacher's notes\n\n- Bring play money.\n- Pairs may share a price list.\n\n### Solutions\n\n| Question | Solution | Points |\n| --- | --- | --- |\n| 1 | 2 | 1 |\n| 2 | 60 p | 1 |\n| 3 | a | 1 |\n| 4 | 3.50 | 2 |\n| 5 | own answers | 2 |\n`,
    keys: [
      ['A melon costs', ['2']],
      ['Two pears', ['60 p']],
      ['Which costs more', ['three plums at 40 p each']],
      ['You have 10', ['3.5']],
      ['Make a shopping', []],
    ],
    secrets: ['play money', 'own answers'],
    learners: ['Show how you got your answers', 'Challenge'],
  },
  {
    file: 'phare-lecon.docx',
    docx: [
      H(1, 'Lecture : Le vieux phare'),
      'Lis le texte, puis réponds aux questions.',
      'Le phare éclaire la mer. Chaque soir, Mado monte les cent marches et allume la lampe.',
      H(2, 'Questions'),
      '1. Qui allume la lampe ?',
      '2. Combien de marches y a-t-il ?',
      '3. Coche la bonne réponse. Le phare éclaire…',
      'a) la forêt',
      'b) la mer',
      'c) la rue',
      '4. Vrai ou faux ? Mado monte chaque matin.',
      { pageBreak: true },
      H(1, 'Fiche de l’enseignant'),
      'Durée : 30 minutes.',
      '**Réponses**',
      '1. Mado',
      '2. cent (100)',
      '3. b',
      '4. Faux, elle monte chaque soir.',
      '**Prolongement**',
      'Dessiner le phare.',
    ],
    keys: [
      ['Qui allume', ['Mado']],
      ['Combien de', ['cent (100)']],
      ['Coche la', ['la mer']],
      ['Vrai ou faux', ['Faux, elle monte chaque soir']],
    ],
    secrets: ['30 minutes', 'Prolongement', 'elle monte chaque soir'],
    learners: ['Lis le texte', 'cent marches'],
  },
  {
    file: 'markt-stunde.pdf',
    html: `<h1>Der Markt am Samstag</h1><p>Auf dem Markt kauft Frau Lenz drei Äpfel, ein Brot und zwei Fische. Der Apfel kostet 40 Cent, das Brot 3 Euro, ein Fisch 5 Euro.</p><h2>Aufgaben</h2><p>1. Was kauft Frau Lenz? ${line}</p><p>2. Was kostet ein Apfel? ${line}</p><p>3. Was kosten zwei Fische? ${line}</p><p>4. Kreuze an. Das Brot kostet<br>☐ 3 Euro<br>☐ 5 Euro</p><p>5. Erkläre, warum Frau Lenz auf den Markt geht.</p><p>______________________________</p><div class="new"></div><h1>Lösungsblatt</h1><table style="border-collapse:collapse" border="1" cellpadding="4"><tr><th>Nr.</th><th>Lösung</th><th>Punkte</th></tr><tr><td>1</td><td>Äpfel, Brot, Fische</td><td>3</td></tr><tr><td>2</td><td>40 Cent</td><td>1</td></tr><tr><td>3</td><td>10 Euro</td><td>1</td></tr><tr><td>4</td><td>3 Euro</td><td>1</td></tr><tr><td>5</td><td>individuelle Lösung</td><td>2</td></tr></table><p>Hinweis für die Lehrkraft: Spielgeld bereitlegen.</p>`,
    keys: [
      ['Was kauft', ['Äpfel, Brot, Fische']],
      ['Was kostet ein', ['40 Cent']],
      ['Was kosten zwei', ['10 Euro']],
      ['Kreuze an', ['3 Euro']],
      ['Erkläre', []],
    ],
    secrets: ['Spielgeld', 'Lösungsblatt', '10 Euro'],
    learners: ['Auf dem Markt kauft'],
  },
  {
    file: 'insects-whole-lesson.html',
    html: `<!doctype html><html><head><title>Sheet</title><style>body{font-family:sans-serif;background:#fff}.box{border:1px solid}</style></head><body><header>Riverside School</header><h1>Insects</h1><p><b>Name:</b> ________</p><h2>Words to know</h2><ul><li>antenna: a feeler</li><li>thorax: the middle part</li></ul><h2>Questions</h2><ol><li>How many legs has an insect? <input type="text"></li><li>What is an antenna? <input></li><li>Which of these is an insect?<ul><li>spider</li><li>beetle</li><li>snail</li></ul></li><li>Draw a beetle.</li></ol><div class="box"><h2>Teacher's answers</h2><p>1 – 6, 2 – a feeler, 3 – beetle, 4 – see drawing</p><p>Allow books.</p></div><h2>Extra</h2><p>Find an insect at home and tell us about it.</p></body></html>`,
    keys: [
      ['How many legs', ['6']],
      ['What is an antenna', ['a feeler']],
      ['Which of these', ['beetle']],
      ['Draw a beetle', []],
    ],
    secrets: ['Allow books', 'see drawing'],
    learners: ['Words to know', 'Find an insect at home'],
  },
  {
    file: 'white-words.pdf',
    html: `<h1>Coins</h1><p>1. Which coin is the largest? <span style="color:#fff;-webkit-print-color-adjust:exact">the crown</span></p><p>2. Which coin is the smallest?</p><p style="color:#fff;-webkit-print-color-adjust:exact">Answers: 1. the crown 2. the farthing</p><div style="background:#234;color:#fff;padding:8px;-webkit-print-color-adjust:exact">Read this first</div>`,
    keys: [
      ['Which coin is the largest', []],
      ['Which coin is the smallest', []],
    ],
    secrets: ['the crown', 'the farthing'],
    learners: ['Read this first'],
  },
];
