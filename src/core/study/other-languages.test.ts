import { expect, it } from 'vitest';
import { defaultProfile } from '../criteria/index.ts';
import { readMarkdown } from '../draft/index.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import { readStudyPage, StudyBook } from './index.ts';

const PAGES = [
  `# Wasserdichte Packtaschen im Test

Wir haben sechs Packtaschen im Regen getestet und sie mit dem Schlauch bespritzt. Die geschweißten Nähte hielten dicht, die Haken klapperten.

## Nähte und Haken

Eine geschweißte Naht ist dicht, eine geklebte löst sich nach drei Jahren. Die Haken sollen zum Gepäckträger passen, und der ist meist acht Millimeter dick.`,
  `# Packtaschen: welche sind wasserdicht?

Packtaschen mit Rollverschluss sind wasserdicht, wenn man sie dreimal rollt. Wer im Regen fährt, braucht für seine Taschen geschweißte Nähte.

## Der Rollverschluss

Ein Deckel ist schneller, aber er lässt Wasser hinein. Das Wasser kommt von unten, vom Hinterrad, und die Haken hängen am Gepäckträger.`,
  `# Kaufberatung: wasserdichte Packtaschen für die Radreise

Für die Radreise braucht man Packtaschen, die auch nach Jahren dicht sind. Achten Sie auf die Nähte, die Haken und den Rollverschluss.

## Pflege

Nach einer Fahrt am Meer spült man das Salz mit Wasser ab. Die Nähte und der Gepäckträger sind danach an der Reihe.`,
];

it('pages in another language give terms of their subject and none of its small words', () => {
  const bases = new WordBases(new Vocabulary());
  const query = 'wasserdichte packtaschen';
  const readings = PAGES.map((text, at) =>
    readStudyPage(
      {
        address: `https://page${at}.example/`,
        publisher: `page${at}`,
        kind: '',
        rank: at + 1,
        document: readMarkdown(text),
      },
      query,
      bases,
      defaultProfile,
    ),
  );
  const { terms } = new StudyBook(readings, { query, asked: [], phrases: [] }, bases).study(new Set());
  const forms = terms.map(({ form }) => form);
  for (const wanted of ['packtaschen', 'nähte', 'haken', 'gepäckträger', 'rollverschluss'])
    expect(forms).toContain(wanted);
  const small = /^(?:und|die|der|das|sie|mit|für|nach|ist|sind|wenn|auf|im|am|ein|eine)$/;
  expect(forms.filter((form) => form.split(' ').some((word) => small.test(word)))).toEqual([]);
});
