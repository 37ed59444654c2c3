import type { Known, Quoted } from './known/index.ts';
import { nothingKnown } from './known/index.ts';

const said = (text: string, who = 'The Slipway'): Quoted => ({
  text,
  who,
  address: `https://${who.toLowerCase().replace(/[^a-z]/g, '')}.example/tides`,
});

/** What is known for a post on tide tables, as small as it shows every part. */
export const TIDES: Known = {
  ...nothingKnown(),
  house: {
    name: 'Saltmarsh Wheelworks',
    offer: 'Rents touring bikes and teaches first trips.',
    language: 'en-GB',
    avoid: 'No brand names.',
  },
  voice: {
    name: 'The workshop',
    rules: ['Sentences have 12 to 23 words.', 'No exclamation marks.'],
    passages: ['Two bags at the back are enough. Whatever is empty will be filled.'],
  },
  brief: {
    ...nothingKnown().brief,
    title: 'How to read a tide table before you ride',
    keyword: 'tide tables',
    supporting: ['low water times', 'causeway cycling'],
    goal: 'Answer a question well',
    audience: ['first-time riders'],
    tone: 'Calm expert',
    style: 'How-to',
    nextStep: 'Book a guided crossing',
    points: ['The two columns', 'When to turn back'],
    questions: ['How long is the causeway dry?'],
    notes: 'Ask the ferrywoman.',
    words: 900,
    figures: [
      {
        text: 'The causeway is dry for 4 hours a day.',
        publisher: 'Harbour Office',
        address: 'https://harbour.example/dry',
        source: '',
      },
    ],
  },
  outline: [
    { level: 2, text: 'The two columns', note: 'Time and height.' },
    { level: 2, text: 'When to turn back', note: '' },
    { level: 2, text: 'How long is the causeway dry?', note: '' },
  ],
  study: {
    query: 'tide tables',
    pages: 9,
    titles: ['Tide tables explained'],
    topics: [
      {
        name: 'Reading the columns',
        pages: 5,
        said: [
          said('The left column gives the time and the right one the height in metres.'),
          said('Every height is counted from the lowest tide that is foreseen.', 'Mudlark Club'),
        ],
      },
      {
        name: 'Wind and pressure',
        pages: 3,
        said: [said('A strong wind from the sea holds the water in for an hour and more.', 'Mudlark Club')],
      },
    ],
    questions: [
      {
        text: 'How long is the causeway dry?',
        pages: 4,
        said: [said('It is dry from two hours before low water until two hours after it.')],
      },
    ],
    figures: [
      {
        text: 'In 2024 the ferry counted 1,240 riders on the causeway.',
        publisher: 'Harbour Office',
        address: 'https://harbour.example/riders',
        source: '',
      },
    ],
    cases: [said('One of our guests once left her bicycle on the bank and walked home.', 'Mudlark Club')],
    terms: ['low water', 'spring tide'],
    unsaid: ['Are tide tables free?'],
  },
  about: [
    {
      text: 'When to turn back',
      pages: 2,
      said: [
        said('Turn back when the water reaches the second post, whatever the table says.', 'Mudlark Club'),
      ],
      own: [
        {
          text: 'We turn our groups back an hour before the table tells us to.',
          who: 'Crossing the causeway',
          address: '/journal/causeway',
        },
      ],
    },
    {
      text: 'How long is the causeway dry?',
      pages: 4,
      said: [said('It is dry from two hours before low water until two hours after it.')],
      own: [],
    },
  ],
  draft: [
    {
      heading: '',
      level: 2,
      paragraphs: ['A tide table looks like a railway timetable. It is kinder: nothing on it is ever late.'],
    },
    {
      heading: 'The two columns',
      level: 2,
      paragraphs: [
        'The first column of a tide table tells when, the second tells how high. Most riders read only the first one. We have pulled three bicycles out of the mud because of the second.',
      ],
    },
    {
      heading: 'When to turn back',
      level: 2,
      paragraphs: [
        'Nobody waits for the tide on this road. A rider who turns back an hour early has lost an hour. Bring a lamp.',
      ],
    },
  ],
  around: {
    heading: 'When to turn back',
    note: 'The second post is the mark.',
    before: '## When to turn back\nNobody waits for the tide on this road.',
    after: '',
  },
  selection: '',
  site: [
    {
      title: 'Crossing the causeway',
      address: '/journal/causeway',
      said: ['We turn our groups back an hour before the table tells us to.'],
    },
  ],
  picture: {
    caption: '',
    name: 'causeway-at-low-water',
    before: 'The second post stands in the mud.',
    after: '',
  },
  gaps: ['Wind and pressure'],
  titles: ['Crossing the causeway', 'Bicycle ferry times'],
};
