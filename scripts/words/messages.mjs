// What of a source file is read by whoever uses the application: found by where it stands, and put in other words.
import ts from 'typescript';

/** Attributes that hold no words. */
const NO_WORDS = new Set(
  (
    'className boxClassName id key type role look href to src htmlFor value defaultValue inputMode autoComplete d fill viewBox dir lang rel ' +
    'target list side align style accept kind of view as size method loading encType pattern step min max stroke transform aria-live ' +
    'aria-controls aria-describedby aria-labelledby aria-current aria-haspopup aria-sort data-place data-testid slot'
  ).split(' '),
);
/** Properties whose value is shown. */
const SHOWN = new Set(
  'label name title note hint said text heading placeholder unit shown words empty problem advice target what action summary description missing reason why'.split(
    ' ',
  ),
);
/** Single words of style sheets that look like words. */
const STYLES = new Set(
  'flex grid block inline relative absolute hidden truncate rounded border underline italic grow shrink sticky fixed container uppercase group peer contents'.split(
    ' ',
  ),
);

const LETTERS = /\p{L}{2}/u;

/** Text between elements as it is shown: lines are joined, what surrounds them goes. */
export function shownText(raw) {
  const lines = raw.split(/\r?\n/);
  const kept = lines
    .map((line, at) => {
      let text = line.replaceAll('\t', ' ');
      if (at > 0) text = text.replace(/^ +/, '');
      if (at < lines.length - 1) text = text.replace(/ +$/, '');
      return text;
    })
    .filter((line, at) => line !== '' || lines.length === 1 || (at === 0 && lines.length === 1));
  return kept
    .join(' ')
    .replaceAll('&nbsp;', '\u00a0')
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&quot;', '"')
    .replaceAll('&amp;', '&');
}

/** Words of a sentence or a name, not of a style sheet, a path or a pattern. */
function readsAsWords(text) {
  if (!LETTERS.test(text) || !/\p{L} \p{L}|\p{L}[.,:;?!)”] |[“"(]\p{L}/u.test(` ${text} `)) return false;
  if (/^[\p{Lu}“"(]/u.test(text)) return !/[{}<>\\]|^\([?:!]/.test(text);
  const tokens = text.split(/\s+/).filter(Boolean);
  return (
    tokens.every((token) => /^[“"(']?[\p{L}’']+[.,:;?!)”"']{0,2}$/u.test(token) || /^[–—]$/.test(token)) &&
    !tokens.every((token) => STYLES.has(token))
  );
}

/** Whether a node stands where no words are shown: an import, a type, a key, a comparison, an attribute of style. */
function standsApart(node) {
  const { parent } = node;
  if (!parent) return true;
  if (
    ts.isImportDeclaration(parent) ||
    ts.isExportDeclaration(parent) ||
    ts.isLiteralTypeNode(parent) ||
    ts.isExternalModuleReference(parent) ||
    ts.isElementAccessExpression(parent) ||
    ts.isCaseClause(parent) ||
    ts.isTaggedTemplateExpression(parent) ||
    (ts.isPropertyAssignment(parent) && parent.name === node) ||
    (ts.isCallExpression(parent) &&
      /^(?:console\.\w+|fetch|require|import|querySelector\w*)$/.test(parent.expression.getText()))
  )
    return true;
  if (ts.isBinaryExpression(parent) && /^[!=]==?$/.test(parent.operatorToken.getText())) return true;
  for (let up = parent; up && !ts.isStatement(up); up = up.parent) {
    if (ts.isJsxAttribute(up)) return NO_WORDS.has(up.name.getText());
    if (ts.isNewExpression(up) && /^(?:RegExp|URL|Worker)$/.test(up.expression.getText())) return true;
    if (ts.isJsxElement(up) || ts.isJsxFragment(up) || ts.isFunctionLike(up)) return false;
  }
  return false;
}

/** Whether a literal is the value of something that is shown: a label, a title, a name. */
function isShownValue(node) {
  const { parent } = node;
  return (
    (ts.isJsxAttribute(parent) &&
      !NO_WORDS.has(parent.name.getText()) &&
      !/^data-/.test(parent.name.getText())) ||
    (ts.isPropertyAssignment(parent) && SHOWN.has(parent.name.getText()))
  );
}

/** Whether a word alone names something on the screen: a value in a table of names, or one of two that stand between elements. */
function isName(node, text, fileName) {
  if (!/^src\/web\/(?:ui|screens|app)\//.test(fileName) || !/^\p{Lu}\p{Ll}+$/u.test(text)) return false;
  if (ts.isPropertyAssignment(node.parent))
    return !/^(?:key|code|type|kind|tag)$/.test(node.parent.name.getText());
  let up = node.parent;
  while (ts.isConditionalExpression(up) || ts.isParenthesizedExpression(up)) up = up.parent;
  return ts.isJsxExpression(up) && !ts.isJsxAttribute(up.parent);
}

const templateText = (node) =>
  node.head.text + node.templateSpans.map(({ literal }, at) => `{${at}}${literal.text}`).join('');

/** Neighbouring text and expressions between elements, as one message. */
function runsOf(children) {
  const runs = [];
  let run = [];
  const end = () => {
    if (run.some((child) => ts.isJsxText(child) && LETTERS.test(child.text))) runs.push(run);
    run = [];
  };
  for (const child of children) {
    if (ts.isJsxText(child) || (ts.isJsxExpression(child) && child.expression)) run.push(child);
    else end();
  }
  end();
  return runs;
}

const isSpace = (child) =>
  ts.isJsxExpression(child) && ts.isStringLiteral(child.expression) && child.expression.text.trim() === '';

function runText(run) {
  let at = 0;
  return run
    .map((child) => {
      if (ts.isJsxText(child)) return shownText(child.text);
      if (isSpace(child)) return child.expression.text;
      return `{${at++}}`;
    })
    .join('');
}

/** A call that counts things: `counted(n, 'post')`, `count(n, 'query', 'queries')`; null for any other node. */
function countedThings(node) {
  if (!ts.isCallExpression(node) || !ts.isIdentifier(node.expression)) return null;
  if (!/^count(?:ed)?$/.test(node.expression.text)) return null;
  const [, one, more] = node.arguments;
  if (!one || !ts.isStringLiteral(one) || (more && !ts.isStringLiteral(more))) return null;
  return { one: one.text, more: more?.text ?? `${one.text}s` };
}

/**
 * A source file with its words put through `put` (given a message, its words; the same where they stay) and the things that are counted
 * through `putCounted` (given one and more of them, the words for both). Messages hold `{0}`, `{1}` for what is filled in.
 */
export function rewritten(fileName, source, put, putCounted = (one, more) => [one, more]) {
  const file = ts.createSourceFile(
    fileName,
    source,
    ts.ScriptTarget.Latest,
    true,
    fileName.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const render = (node) => {
    const own = ownWords(node);
    if (own !== null) return own;
    const pieces = [];
    if (ts.isJsxElement(node) || ts.isJsxFragment(node))
      for (const run of runsOf(node.children)) {
        const text = runText(run);
        const message = text.trim();
        const words = put(message);
        if (words !== message)
          pieces.push({
            start: run[0].pos,
            end: run[run.length - 1].end,
            text: filled(
              text.replace(message, () => words),
              run,
            ),
          });
      }
    const inRun = (child) => pieces.some(({ start, end }) => child.pos >= start && child.end <= end);
    node.forEachChild((child) => {
      if (inRun(child)) return;
      const text = render(child);
      if (text !== source.slice(child.getStart(file), child.end))
        pieces.push({ start: child.getStart(file), end: child.end, text });
    });
    pieces.sort((a, b) => a.start - b.start);
    let out = '';
    let from = ts.isSourceFile(node) ? 0 : node.getStart(file);
    for (const { start, end, text } of pieces) {
      out += source.slice(from, start) + text;
      from = end;
    }
    return out + source.slice(from, node.end);
  };
  /** Words with their expressions, between elements. */
  const filled = (words, run) => {
    const expressions = run.filter((child) => ts.isJsxExpression(child) && !isSpace(child));
    return words
      .split(/(\{\d+\})/)
      .map((part) => {
        const place = /^\{(\d+)\}$/.exec(part);
        if (place && expressions[place[1]]) return render(expressions[place[1]]);
        return part === '' ? '' : `{${JSON.stringify(part)}}`;
      })
      .join('');
  };
  const ownWords = (node) => {
    const things = countedThings(node);
    if (things) {
      const [one, more] = putCounted(things.one, things.more);
      if (one === things.one && more === things.more) return null;
      return `${node.expression.text}(${render(node.arguments[0])}, ${JSON.stringify(one)}, ${JSON.stringify(more)})`;
    }
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (!isMessage(node, node.text)) return null;
      const words = put(node.text);
      if (words === node.text) return null;
      return ts.isJsxAttribute(node.parent) ? `{${JSON.stringify(words)}}` : JSON.stringify(words);
    }
    if (ts.isTemplateExpression(node)) {
      const message = templateText(node);
      if (!isMessage(node, message)) return null;
      const words = put(message);
      if (words === message) return null;
      return `\`${words
        .split(/(\{\d+\})/)
        .map((part) => {
          const place = /^\{(\d+)\}$/.exec(part);
          const span = place && node.templateSpans[place[1]];
          if (span) return `\${${render(span.expression)}}`;
          return part.replace(/[\\`]|\$\{/g, '\\$&');
        })
        .join('')}\``;
    }
    return null;
  };
  const isMessage = (node, text) => {
    if (standsApart(node)) return false;
    if (isName(node, text, fileName)) return true;
    if (isShownValue(node)) return LETTERS.test(text) && (/^\P{Ll}*\p{Lu}/u.test(text) || readsAsWords(text));
    const bare = text.replace(/\{\d+\}/g, '').trim();
    return readsAsWords(bare);
  };
  return render(file);
}

/** The messages of a source file, in its order, each once. */
export function messagesOf(fileName, source) {
  const found = new Set();
  rewritten(fileName, source, (message) => {
    found.add(message);
    return message;
  });
  return [...found];
}

/** The things that a source file counts, one and more of each, each once. */
export function countedIn(fileName, source) {
  const found = new Map();
  rewritten(
    fileName,
    source,
    (message) => message,
    (one, more) => {
      found.set(one, more);
      return [one, more];
    },
  );
  return [...found];
}
