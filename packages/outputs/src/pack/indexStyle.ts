/** Of the index page: ink on paper, on the screen and in print. */
export const STYLE = `
@page { margin: 14mm 12mm 16mm; }
:root { color-scheme: light; }
* { box-sizing: border-box; }
body { margin: 0 auto; max-width: 60rem; padding: 1.5rem; color: #1c2823; background: #faf8f2; font: 15px/1.4 'Atkinson Hyperlegible Next', 'Helvetica Neue', Arial, sans-serif; }
header { border-bottom: 3px solid #1c2823; }
h1 { margin: 0; font-size: 1.9rem; }
header p { margin: 0.1rem 0 0.6rem; color: #55625a; }
h2 { margin: 1.6rem 0 0.4rem; font-size: 1.2rem; }
h3 { margin: 1rem 0 0.2rem; font-size: 0.95rem; color: #55625a; }
figure { margin: 1rem 0; background: #fff; border: 1px solid #d3cfc2; }
figure svg { display: block; width: 100%; max-height: 26rem; }
table { width: 100%; border-collapse: collapse; font-variant-numeric: tabular-nums; }
th { text-align: left; font-weight: 600; color: #55625a; }
th, td { padding: 0.2rem 0.8rem 0.2rem 0; border-bottom: 1px solid #d3cfc2; vertical-align: baseline; }
.files td:last-child, .files th:last-child, .figures td:nth-child(2), .figures th:nth-child(2), .cuts td:nth-child(n + 4):not(:last-child), .cuts th:nth-child(n + 4):not(:last-child) { text-align: right; white-space: nowrap; }
.files td:first-child { width: 45%; overflow-wrap: anywhere; }
.cuts td:first-child { font-weight: 700; }
a { color: #1e5a47; }
ul { margin: 0.3rem 0; padding-left: 1.2rem; }
.stop { color: #9e2f1f; }
footer { margin-top: 2rem; padding-top: 0.4rem; border-top: 1px solid #1c2823; color: #55625a; font-size: 0.85rem; }
@media print {
  body { max-width: none; padding: 0; background: none; font-size: 10pt; }
  a { color: inherit; text-decoration: none; }
  tr, figure, li { break-inside: avoid; }
  h2, h3 { break-after: avoid; }
}
`;
