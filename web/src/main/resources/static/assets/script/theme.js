// Runs before the page is drawn: the theme chosen on this device, else the system's.
(() => {
  const root = document.documentElement;
  const night = () => matchMedia('(prefers-color-scheme: dark)').matches;
  let chosen = null;
  try { chosen = localStorage.getItem('galdrin.theme'); } catch { /* private mode: the system's theme it is */ }
  const show = theme => { root.dataset.theme = theme; root.dataset.bsTheme = theme === 'night' ? 'dark' : 'light'; };
  show(chosen ?? (night() ? 'night' : 'day'));
  root.dataset.script = 'on';
  document.addEventListener('click', event => {
    if (event.target.closest('[data-theme-switch]')) {
      const theme = root.dataset.theme === 'night' ? 'day' : 'night';
      show(theme);
      try { localStorage.setItem('galdrin.theme', theme); } catch { /* stays for this page */ }
    }
    if (event.target.closest('[data-print]')) print();
  });
})();
