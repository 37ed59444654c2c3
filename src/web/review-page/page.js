// The page of a review file: comments on selected words, other words for them, a word on the whole, and the answer as a file.
// It runs alone, without anything around it, and asks nothing of any network.
(() => {
  const about = JSON.parse(document.getElementById('about').textContent);
  const article = document.getElementById('post');
  const desk = document.getElementById('answer');
  const AROUND = 32;
  const comments = [];
  let says = '';
  let asked = null;

  const el = (name, properties = {}, ...children) => {
    const node = Object.assign(document.createElement(name), properties);
    node.append(...children.filter((child) => child !== null));
    return node;
  };

  /** Text of the article from its beginning to a place in it, as the selectors count it. */
  const textTo = (container, offset) => {
    const range = document.createRange();
    range.selectNodeContents(article);
    range.setEnd(container, offset);
    return range.toString();
  };

  /** The selected words with what stands around them; null where nothing of the post is selected. */
  const selected = () => {
    const selection = getSelection();
    if (!selection || selection.isCollapsed || selection.rangeCount === 0) return null;
    const range = selection.getRangeAt(0);
    if (!article.contains(range.commonAncestorContainer)) return null;
    const raw = range.toString();
    const exact = raw.trim();
    if (exact === '') return null;
    const start = textTo(range.startContainer, range.startOffset).length + raw.indexOf(exact);
    const all = article.textContent;
    return {
      exact,
      prefix: all.slice(Math.max(0, start - AROUND), start),
      suffix: all.slice(start + exact.length, start + exact.length + AROUND),
      start,
      end: start + exact.length,
    };
  };

  const nameField = el('input', { id: 'name', autocomplete: 'name' });

  /** The answer as the Web Annotation data model writes it. */
  const answer = () => {
    const creator = { type: 'Person', name: nameField.value.trim() || 'Somebody' };
    const source = `urn:dune-sparrow:post:${about.postId}`;
    const target = (quote) =>
      quote === null
        ? { source }
        : {
            source,
            selector: [
              { type: 'TextQuoteSelector', exact: quote.exact, prefix: quote.prefix, suffix: quote.suffix },
              { type: 'TextPositionSelector', start: quote.start, end: quote.end },
            ],
          };
    const text = (value, purpose) => ({ type: 'TextualBody', value, purpose, format: 'text/plain' });
    const items = comments.map(({ id, at, quote, words, proposal }) => ({
      '@context': 'http://www.w3.org/ns/anno.jsonld',
      id,
      type: 'Annotation',
      motivation: proposal === null ? 'commenting' : 'editing',
      creator,
      created: at,
      body: [
        ...(words ? [text(words, 'commenting')] : []),
        ...(proposal === null ? [] : [text(proposal, 'editing')]),
      ],
      target: target(quote),
    }));
    if (says)
      items.push({
        '@context': 'http://www.w3.org/ns/anno.jsonld',
        id: `urn:uuid:${crypto.randomUUID ? crypto.randomUUID() : String(Math.random()).slice(2)}`,
        type: 'Annotation',
        motivation: 'assessing',
        creator,
        created: new Date().toISOString(),
        body: [text(says, 'assessing')],
        target: target(null),
      });
    return {
      '@context': 'http://www.w3.org/ns/anno.jsonld',
      type: 'AnnotationPage',
      partOf: { id: source, type: 'AnnotationCollection', label: about.title, modified: about.made },
      items,
    };
  };

  const save = () => {
    const file = new Blob([JSON.stringify(answer(), null, 2)], { type: 'application/ld+json' });
    const url = URL.createObjectURL(file);
    const name = (nameField.value.trim() || 'review').toLowerCase().replace(/[^a-z0-9]+/g, '-');
    el('a', { href: url, download: `answer-${name}.json` }).click();
    setTimeout(() => URL.revokeObjectURL(url), 10_000);
  };

  const add = (quote) => {
    asked = { quote };
    draw();
    document.getElementById('words').focus();
  };

  const form = () => {
    const words = el('textarea', { id: 'words', rows: 3 });
    const other = el('textarea', {
      id: 'other',
      rows: 2,
      placeholder: asked.quote ? asked.quote.exact.slice(0, 300) : '',
    });
    const keep = () => {
      const proposal = other.value.trim() === '' || !asked.quote ? null : other.value.trim();
      if (words.value.trim() === '' && proposal === null) return;
      comments.push({
        id: `urn:uuid:${crypto.randomUUID ? crypto.randomUUID() : `${Date.now()}-${comments.length}`}`,
        at: new Date().toISOString(),
        quote: asked.quote,
        words: words.value.trim(),
        proposal,
      });
      asked = null;
      draw();
    };
    return el(
      'section',
      { ariaLabel: 'A comment' },
      asked.quote ? el('blockquote', {}, asked.quote.exact.slice(0, 300)) : null,
      el('label', { htmlFor: 'words' }, 'Your comment'),
      words,
      ...(asked.quote
        ? [el('label', { htmlFor: 'other' }, 'Other words for these (if you have some)'), other]
        : []),
      el('button', { className: 'main', type: 'button', onclick: keep }, 'Keep the comment'),
      el(
        'button',
        {
          type: 'button',
          onclick: () => {
            asked = null;
            draw();
          },
        },
        'Leave it',
      ),
    );
  };

  const verdict = (value, words) => {
    const radio = el('input', { type: 'radio', name: 'says', value, checked: says === value });
    radio.onchange = () => {
      says = value;
    };
    return el('label', {}, radio, words);
  };

  function draw() {
    const list = el(
      'ul',
      { ariaLabel: 'Your comments' },
      ...comments.map((comment) =>
        el(
          'li',
          {},
          comment.quote ? el('blockquote', {}, comment.quote.exact.slice(0, 300)) : null,
          comment.words ? el('div', {}, comment.words) : null,
          comment.proposal === null ? null : el('div', {}, 'Better: ', el('ins', {}, comment.proposal)),
          el(
            'button',
            {
              className: 'word',
              type: 'button',
              onclick: () => {
                comments.splice(comments.indexOf(comment), 1);
                draw();
              },
            },
            'Take it out',
          ),
        ),
      ),
    );
    desk.replaceChildren(
      ...(asked
        ? [form()]
        : [
            el(
              'button',
              { type: 'button', onclick: () => add(selected()) },
              'Comment on the selected words, or on the whole',
            ),
          ]),
      list,
      el('label', { htmlFor: 'name' }, 'Your name'),
      nameField,
      el(
        'fieldset',
        {},
        el('legend', {}, 'What do you think of it?'),
        verdict('approved', 'It may go out'),
        verdict('changes', 'It needs changes first'),
      ),
      el('button', { className: 'main', type: 'button', onclick: save }, 'Save the answer'),
    );
  }

  // A press on the button would take the selection away before it is read.
  desk.addEventListener('mousedown', (event) => {
    if (event.target instanceof HTMLButtonElement) event.preventDefault();
  });
  addEventListener('beforeunload', (event) => {
    if (comments.length > 0) event.preventDefault();
  });
  draw();
})();
