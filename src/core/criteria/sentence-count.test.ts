import { describe, expect, it } from 'vitest';
import { judge } from './judge.test-data.ts';

const reading = (md: string) => judge('reading-ease', { md, language: 'en' });

describe('sentences of a draft', () => {
  it('are those of running text and of labels that end as sentences do; reading ease follows from the same', () => {
    const text = 'We rode along the dyke until dusk and slept in the barn behind the mill. '.repeat(5);
    const plain = reading(text).measured;
    expect(
      reading(`## A heading without a stop\n\n${text}\n\n| Cell | Another |\n| --- | --- |\n| 12 km | flat |`)
        .measured,
    ).toBe(plain);
    expect(
      reading(`## What does the extraordinarily complicated administration recommend?\n\n${text}`).measured,
    ).toBeLessThan(plain as number);
  });
});
