/** How a post looks where the house has no style of its own: a plain page with good measures. `column` is in pixels. */
export const plainStyle = (column: number): string => `
:root { color-scheme: light; }
body { margin: 0; background: #fff; color: #1d1d1b; font: 18px/1.6 Georgia, 'Times New Roman', serif; }
main { max-width: ${column}px; margin: 0 auto; padding: 32px 20px 80px; overflow-wrap: break-word; }
h1 { font-size: 36px; line-height: 1.15; margin: 0 0 12px; }
h2 { font-size: 26px; line-height: 1.25; margin: 40px 0 12px; }
h3 { font-size: 21px; line-height: 1.3; margin: 32px 0 8px; }
h4, h5, h6 { font-size: 18px; margin: 24px 0 8px; }
.byline { color: #5c5c57; font-size: 15px; margin: 0 0 24px; }
img { max-width: 100%; height: auto; display: block; }
figure { margin: 28px 0; }
figure.side-left { float: left; width: 45%; margin: 6px 24px 12px 0; }
figure.side-right { float: right; width: 45%; margin: 6px 0 12px 24px; }
figure.side-wide { width: min(1200px, calc(100vw - 40px)); margin-left: 50%; transform: translateX(-50%); }
figure.side-wide img { width: 100%; }
.pictures { display: grid; gap: 12px; margin: 28px 0; }
.pictures:has(.across-2) { grid-template-columns: repeat(2, 1fr); }
.pictures:has(.across-3) { grid-template-columns: repeat(3, 1fr); }
.pictures figure { margin: 0; }
.pictures img { width: 100%; aspect-ratio: 3 / 2; object-fit: cover; }
figcaption { color: #5c5c57; font-size: 15px; line-height: 1.4; margin-top: 8px; }
.embed { background: #f4f2ec; border: 1px solid #cfcabd; padding: 18px; font-size: 16px; }
.embed .kind { margin: 0 0 4px; color: #5c5c57; font-size: 14px; }
.embed img { width: 100%; margin-bottom: 10px; }
.next-step.button a { display: inline-block; background: #1d5c63; color: #fff; padding: 10px 22px; border-radius: 6px; text-decoration: none; font-family: system-ui, sans-serif; font-weight: 600; }
.footnotes { margin-top: 48px; padding-top: 12px; border-top: 1px solid #cfcabd; font-size: 15px; color: #5c5c57; }
sup { font-size: 0.7em; line-height: 0; }
blockquote { margin: 28px 0; padding-left: 20px; border-left: 3px solid #cfcabd; }
pre { overflow: auto; background: #f4f2ec; padding: 14px; font-size: 15px; }
table { border-collapse: collapse; width: 100%; font-size: 16px; }
th, td { border: 1px solid #cfcabd; padding: 6px 10px; text-align: left; vertical-align: top; }
hr { border: 0; border-top: 1px solid #cfcabd; margin: 36px 0; }
a { color: #1d5c63; }
.elsewhere { background: #f4f2ec; border: 1px dashed #b5af9f; color: #5c5c57; padding: 18px; font-size: 15px; text-align: center; overflow-wrap: anywhere; }
@media (max-width: 500px) {
  h1 { font-size: 29px; }
  h2 { font-size: 23px; }
  figure.side-left, figure.side-right { float: none; width: auto; margin: 24px 0; }
}
`;
