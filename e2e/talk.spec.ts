import { expect, type Page, test } from '@playwright/test';
import { playEndpoint } from '../src/server/text-service/played-endpoint.test-data.ts';
import { faultsOf } from './steps/accessibility.ts';
import { chooseEndpoint } from './steps/texts.ts';
import { caretAtEndOf, openPosts } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const fidelity = (page: Page) => page.getByRole('status', { name: 'Fidelity' });

/** A talk as captions have it: no capitals, no stops, fillers, and captions that roll. */
const SPOKEN = [
  'okay so um thanks for coming on such a wet',
  'evening we want to talk about punctures and',
  'what you do about them on the road',
  'so the first thing is the tyre you you look for',
  'glass in the tyre because um most punctures come from',
  'glass that sat in the rubber for days take a small',
  'screwdriver and pick the glass out of the rubber every sunday',
  'you look at the tyre from the side as well and you press',
  'the cuts open with your thumb',
  "now let's talk about the pump a mini pump is fine",
  'for one puncture but the pump has to reach four bar',
  'so try the pump at home before you leave um a pump with',
  'a gauge costs twenty pounds and a pump with a hose is',
  'kinder to the valve we never lend a pump without a hose',
];
const captions = (): string => {
  const stamp = (at: number) =>
    `00:${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}.000`;
  const cues = SPOKEN.map(
    (line, at) => `${stamp(at * 4)} --> ${stamp(at * 4 + 4)}\n${at > 0 ? `${SPOKEN[at - 1]}\n` : ''}${line}`,
  );
  return `WEBVTT\n\n${cues.join('\n\n')}\n`;
};

/** A second of silence, as a file that plays. */
function silence(): Buffer {
  const samples = 8000;
  const wave = Buffer.alloc(44 + samples, 128);
  wave.write('RIFF', 0);
  wave.writeUInt32LE(36 + samples, 4);
  wave.write('WAVEfmt ', 8);
  wave.writeUInt32LE(16, 16);
  wave.writeUInt16LE(1, 20);
  wave.writeUInt16LE(1, 22);
  wave.writeUInt32LE(8000, 24);
  wave.writeUInt32LE(8000, 28);
  wave.writeUInt16LE(1, 32);
  wave.writeUInt16LE(8, 34);
  wave.write('data', 36);
  wave.writeUInt32LE(samples, 40);
  return wave;
}

test('a talk becomes a post in the speaker’s own words, and what is added later is told as it is written', async ({
  page,
}) => {
  await openPosts(page);
  await page.getByRole('button', { name: 'From a talk' }).click();
  const bring = page.getByRole('region', { name: 'Bring a talk' });
  await bring.getByLabel('Transcript file').setInputFiles({
    name: 'empty.vtt',
    mimeType: 'text/vtt',
    buffer: Buffer.from('WEBVTT\n\nNOTE nothing'),
  });
  await bring.getByLabel('Transcript file').setInputFiles({
    name: 'talk.docx',
    mimeType: 'application/zip',
    buffer: Buffer.from([80, 75, 3, 4, 0, 0, 1, 2, 255, 254, 0, 7]),
  });
  await expect(bring.getByRole('alert')).toContainText(/^talk\.docx .*Save the transcript as/);
  await bring.getByRole('button', { name: 'Read the talk' }).click();
  await expect(bring.getByRole('alert')).toContainText(
    'empty.vtt: No spoken words were found in this WebVTT file.',
  );
  await bring
    .getByLabel('Transcript file')
    .setInputFiles({ name: 'punctures.vtt', mimeType: 'text/vtt', buffer: Buffer.from(captions()) });
  await bring
    .getByLabel('Recording of the talk')
    .setInputFiles({ name: 'punctures.wav', mimeType: 'audio/wav', buffer: silence() });
  await bring.getByRole('button', { name: 'Read the talk' }).click();

  const said = page.getByRole('list', { name: 'What was said' });
  await expect(said).toContainText('okay so um thanks for coming');
  await expect(said.getByTitle('Left out: no text needs it').first()).toHaveText(/okay so um/);
  await page
    .getByRole('textbox', { name: 'Where readers can play it' })
    .fill('https://video.example/punctures.mp3');
  await page.getByRole('textbox', { name: 'Title of the recording' }).fill('Punctures, an evening');
  await page.getByRole('button', { name: 'Make this the draft' }).click();
  await expect(fidelity(page)).toContainText('100 % the speaker’s. 0 small repairs, 0 words added');
  await page.getByRole('button', { name: 'Put the whole transcript at the end' }).click();

  // A time plays the recording from there.
  await said.getByRole('button', { name: '0:36' }).click();
  const playing = page.getByLabel('Recording: punctures.wav');
  await expect
    .poll(() => playing.evaluate((audio: HTMLAudioElement) => audio.currentTime))
    .toBeGreaterThan(0);

  await page.getByRole('button', { name: 'Write', exact: true }).click();
  await expect(draft(page).getByRole('heading').first()).toBeVisible();
  await expect(draft(page).getByText('Thanks for coming on such a wet evening.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Talk' })).toContainText('100 % the speaker’s');
  await caretAtEndOf(page, draft(page).getByRole('heading', { name: 'The pump' }));
  await page.keyboard.press('Enter');
  await page.keyboard.type('Zinc velvet orchids are not 17.');
  await expect(fidelity(page)).toContainText('6 words added');
  const lens = page.getByRole('region', { name: 'Talk' });
  await lens.getByRole('button', { name: 'Added: the next one' }).click();
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toContain('Zinc velvet orchids');
  // What is taken out of the text is told too.
  await page.keyboard.press('Control+z');
  await expect(fidelity(page)).toContainText('0 words added');

  // The keyword wants a word that nobody said.
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Target' }).click();
  await page.getByRole('textbox', { name: 'Primary keyword' }).fill('tubeless puncture');
  await page.getByRole('link', { name: 'Beside the post' }).click();
  const unsaid = page.getByRole('region', { name: 'Words that nobody said' });
  await expect(unsaid).toContainText('Keyword “tubeless puncture”: nobody said tubeless.');
  await expect(unsaid.getByRole('list', { name: 'Near “tubeless puncture”' })).toContainText(/puncture/);
});

test('the demo’s talk stands beside its post: added words, words left out, chapters, and the talk comes back', async ({
  page,
}) => {
  await page.goto('/posts/demo-pre-tour-bike-check/talk');
  await expect(fidelity(page)).toContainText(/9\d % the speaker’s/);
  const post = page.getByRole('region', { name: 'The post' });
  await expect(post.getByRole('list', { name: 'Fidelity by section' }).getByRole('listitem')).toHaveCount(7);
  await post.getByRole('button', { name: 'Added: the next one' }).click();
  await expect(post).toContainText('Added 1 of');
  await post.getByRole('button', { name: 'Left out: the next one' }).click();
  await expect(post).toContainText('Left out 1 of');
  // A picture is asked for where something was said, and stands in the text as still to come.
  const heard = page.getByRole('region', { name: 'The talk', exact: true });
  await heard.getByRole('button', { name: '4:55', exact: true }).click();
  await heard.getByRole('button', { name: 'Ask for a picture at 4:55' }).click();
  await expect(post.getByText(/^\[picture of: .*\(4:55\)\]$/)).toBeVisible();
  await expect(fidelity(page)).toContainText(/9\d % the speaker’s/);
  await post.getByRole('button', { name: 'Put chapters below the recording' }).click();
  await expect(page.getByText(/6 chapters below the recording/)).toBeVisible();
  expect(await faultsOf(page, 'talk')).toEqual([]);
  await page.getByRole('button', { name: 'Write', exact: true }).click();
  await expect(draft(page).getByRole('link', { name: '1:32' })).toHaveAttribute(
    'href',
    /pre-tour-bike-check\.mp4#t=9\d$/,
  );
  await page.goBack();
  await post.getByRole('button', { name: 'Take the talk from this post' }).click();
  await expect(page.getByRole('region', { name: 'Bring a talk' })).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The talk is no longer with this post.' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(fidelity(page)).toContainText(/9\d % the speaker’s/);
});

test('a section is asked for from a text service: what comes is held against the talk, and what nobody said is named', async ({
  page,
}) => {
  const endpoint = await playEndpoint({
    text: 'With discs you look at the pad from above with a torch. Carbon rotors last 900 miles.',
  });
  try {
    await chooseEndpoint(page, endpoint.base, 'good');
    await page.goto('/posts/demo-pre-tour-bike-check/talk');
    await page.getByRole('button', { name: 'Ask for Disc brakes' }).click();
    const place = page.getByRole('region', { name: 'Not yet taken: From a talk' });
    const share = place.getByRole('status', { name: 'Held against the talk' });
    await expect(share).toContainText(/\d\d % the speaker’s words\. Nobody said: .*Carbon rotors.*900/);
    await expect(place).toBeInViewport();
    const sent = JSON.stringify(endpoint.asked.at(-1));
    expect(sent).toContain('every word is the speaker');
    expect(sent).toContain('And what about disc brakes then?');
    await place.getByRole('button', { name: /With discs you look at the pad/ }).click();
    await expect(
      draft(page)
        .getByRole('paragraph')
        .filter({ hasText: 'With discs you look at the pad from above with a torch.' }),
    ).toHaveCount(2);
    await expect(draft(page).getByRole('paragraph').filter({ hasText: 'Carbon rotors' })).toHaveCount(0);
  } finally {
    await endpoint.close();
  }
});
