const FOCUSABLE =
  'button:not(:disabled), a[href], input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex="0"]';

/**
 * Keeps the keyboard's place when what has it is taken away, as a row is by its own Remove: focus goes to what now stands
 * in its place, or else to what stands before it. Runs for the life of the page.
 *
 * @returns Ends it.
 */
export function keepFocus(root: HTMLElement): () => void {
  let last:
    { readonly element: Element; readonly above: readonly (readonly [Element, number])[] } | undefined;
  const remember = ({ target }: FocusEvent) => {
    if (!(target instanceof Element)) return;
    const above: (readonly [Element, number])[] = [];
    for (let each = target; each.parentElement && each !== root; each = each.parentElement)
      above.push([each.parentElement, [...each.parentElement.children].indexOf(each)]);
    last = { element: target, above };
  };
  const look = () => {
    if (!last || last.element.isConnected || root.ownerDocument.activeElement !== root.ownerDocument.body)
      return;
    const { above } = last;
    last = undefined;
    const found = above.find(([parent]) => parent.isConnected);
    if (!found) return;
    placeNear(...found)?.focus({ preventScroll: true });
  };
  const observer = new MutationObserver(look);
  root.addEventListener('focusin', remember);
  observer.observe(root, { childList: true, subtree: true });
  return () => {
    root.removeEventListener('focusin', remember);
    observer.disconnect();
  };
}

/** What can take focus at a place among a parent's children, or the nearest before it, or further out. */
function placeNear(parent: Element, index: number): HTMLElement | undefined {
  const children = [...parent.children];
  for (const child of [...children.slice(index), ...children.slice(0, index).reverse()]) {
    const inside = child.matches(FOCUSABLE) ? child : child.querySelector(FOCUSABLE);
    if (inside instanceof HTMLElement) return inside;
  }
  const outer = parent.parentElement;
  return outer ? placeNear(outer, [...outer.children].indexOf(parent)) : undefined;
}
