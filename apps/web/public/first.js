// Runs before the application: it must not wait for it. No module, so that it is done before the first paint.
(() => {
  let kept = null;
  try {
    kept = localStorage.getItem('larchwood:theme');
  } catch {
    // A blocked store holds nothing.
  }
  const night = kept ? kept === 'night' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = night ? 'night' : 'day';
  // Asks for the first view's data while the application is still on its way.
  const first = /^\/builds\/([^/]+)/.exec(location.pathname);
  const path = first ? `builds/${first[1]}` : location.pathname === '/' ? 'builds' : undefined;
  if (path) window.firstAnswer = { path, response: fetch(`/api/${path}`).catch(() => undefined) };
})();
