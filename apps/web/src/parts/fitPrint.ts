/** Width of a landscape sheet between its margins, px of a style sheet: 11 in less 2 × 10 mm, the narrower of the usual two. */
const SHEET = 11 * 96 - (20 / 25.4) * 96;

/** A drawing is as wide as the window it is in: printed, the page is made smaller by as much as it is too wide. */
export function fitPrint(): void {
  const root = document.documentElement;
  addEventListener('beforeprint', () => {
    // The ledger sets itself as wide as the sheet: what is drawn beside it decides.
    const drawn = [...document.querySelectorAll('#station > :not(aside)')].map((each) => each.clientWidth);
    root.style.setProperty('--print-zoom', String(Math.min(1, SHEET / Math.max(1, ...drawn))));
  });
}
