/** How the blog looks: one style sheet for all pages, light and dark, on paper too. */
export const BLOG_STYLE = `
:root { color-scheme: light dark; --paper: #fffdf8; --ink: #1f2527; --soft: #5a6265; --line: #ded7c6; --link: #1b5a61; --wash: #f4efe3; }
@media (prefers-color-scheme: dark) { :root { --paper: #15191a; --ink: #e8e4da; --soft: #a7a99f; --line: #343a3b; --link: #86c5c8; --wash: #1f2526; } }
* { box-sizing: border-box; }
html { font: 18px/1.6 Georgia, 'Times New Roman', serif; background: var(--paper); color: var(--ink); }
body { margin: 0; overflow-wrap: break-word; }
a { color: var(--link); text-underline-offset: 3px; }
a:focus-visible, button:focus-visible, input:focus-visible { outline: 3px solid var(--link); outline-offset: 2px; }
.skip { position: absolute; left: -9999px; }
.skip:focus { left: 16px; top: 12px; background: var(--paper); padding: 8px 12px; z-index: 1; }
.unseen { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
header.blog, main, footer.blog { max-width: 740px; margin: 0 auto; padding: 0 20px; }
header.blog { padding-top: 28px; padding-bottom: 18px; border-bottom: 1px solid var(--line); font-family: system-ui, sans-serif; }
header.blog .name { margin: 0 0 8px; font-size: 20px; font-weight: 700; }
header.blog .name a { color: inherit; text-decoration: none; }
header.blog ul { list-style: none; margin: 0; padding: 0; display: flex; flex-wrap: wrap; gap: 4px 18px; font-size: 15px; }
header.blog ul.site { margin-top: 6px; font-size: 14px; }
header.blog ul.site a { color: var(--soft); }
header.blog li ul { display: inline-flex; margin-left: 12px; gap: 4px 12px; font-size: 14px; }
main { padding-top: 36px; padding-bottom: 48px; }
footer.blog { border-top: 1px solid var(--line); padding-top: 18px; padding-bottom: 40px; font: 15px/1.5 system-ui, sans-serif; color: var(--soft); }
h1 { font-size: 2rem; line-height: 1.2; margin: 0 0 12px; }
h2 { font-size: 1.4rem; line-height: 1.25; margin: 2.2rem 0 0.7rem; }
h3 { font-size: 1.15rem; margin: 1.8rem 0 0.5rem; }
.trail, .byline, .filed, .share, figcaption, .pages { font-family: system-ui, sans-serif; color: var(--soft); font-size: 15px; }
.trail { margin: 0 0 8px; }
.byline { margin: 0 0 24px; }
.intro { color: var(--soft); margin: 0 0 28px; }
img { display: block; max-width: 100%; height: auto; border-radius: 4px; }
figure { margin: 1.8rem 0; }
figure.side-left { float: left; width: 45%; margin: 6px 24px 12px 0; }
figure.side-right { float: right; width: 45%; margin: 6px 0 12px 24px; }
figure.side-wide { width: min(1100px, calc(100vw - 40px)); margin-left: 50%; transform: translateX(-50%); }
figure.side-wide img { width: 100%; }
.pictures { display: grid; gap: 12px; margin: 1.8rem 0; }
.pictures:has(.across-2) { grid-template-columns: repeat(2, 1fr); }
.pictures:has(.across-3) { grid-template-columns: repeat(3, 1fr); }
.pictures figure { margin: 0; }
.pictures img { width: 100%; aspect-ratio: 3 / 2; object-fit: cover; }
.embed { background: var(--wash); border: 1px solid var(--line); border-radius: 4px; padding: 18px; }
.next-step.button a { display: inline-block; background: var(--link); color: var(--paper); padding: 10px 22px; border-radius: 6px; text-decoration: none; font-family: system-ui, sans-serif; font-weight: 600; }
.footnotes { margin-top: 3rem; padding-top: 12px; border-top: 1px solid var(--line); font-size: 16px; color: var(--soft); }
sup { line-height: 0; }
blockquote { margin: 1.6rem 0; padding-left: 20px; border-left: 3px solid var(--line); }
pre { overflow: auto; background: var(--wash); padding: 14px; font-size: 15px; border-radius: 4px; }
table { border-collapse: collapse; width: 100%; font-size: 16px; }
th, td { border: 1px solid var(--line); padding: 6px 10px; text-align: left; vertical-align: top; }
hr { border: 0; border-top: 1px solid var(--line); margin: 2rem 0; }
.filed { display: flex; gap: 14px; margin: 2rem 0 0; clear: both; }
.filed span { white-space: nowrap; }
.filed ul { list-style: none; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 4px 14px; }
.related { border-top: 1px solid var(--line); margin-top: 2.4rem; }
.related ul, .found { padding-left: 1.1em; }
.related li, .found li { margin-bottom: 8px; }
.related span { color: var(--soft); }
.list { display: grid; gap: 28px; }
.list.cards { grid-template-columns: repeat(auto-fill, minmax(min(310px, 100%), 1fr)); }
.teaser h2 { margin: 0 0 4px; font-size: 1.25rem; }
.teaser img { width: 100%; aspect-ratio: 8 / 5; object-fit: cover; margin-bottom: 12px; }
.teaser .byline { margin: 0 0 8px; }
.teaser p { margin: 0 0 8px; }
.list.lines .teaser { border-bottom: 1px solid var(--line); padding-bottom: 20px; }
.more { font: 600 15px/1.5 system-ui, sans-serif; }
.pages { display: flex; justify-content: space-between; gap: 16px; margin-top: 32px; }
form[role='search'] { display: flex; flex-wrap: wrap; gap: 8px; align-items: center; font: 16px system-ui, sans-serif; margin: 20px 0; }
input, button { font: inherit; padding: 8px 12px; border: 1px solid var(--line); border-radius: 6px; background: var(--paper); color: inherit; }
@media (max-width: 520px) {
  html { font-size: 17px; }
  figure.side-left, figure.side-right { float: none; width: auto; margin: 1.6rem 0; }
}
@media print {
  header.blog nav, footer.blog, .related, .share, .skip { display: none; }
  html { background: #fff; color: #000; }
}
`;
