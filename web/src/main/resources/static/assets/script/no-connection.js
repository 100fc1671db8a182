// The page that stands in for one that did not come: it looks for the connection and then loads what was asked for.
const EVERY_MS = 5000;

async function look() {
  try {
    const response = await fetch('/no-connection', { method: 'HEAD', cache: 'no-store', signal: AbortSignal.timeout(EVERY_MS) });
    if (response.ok) location.reload();
  } catch { /* not yet */ }
}

window.addEventListener('online', look);
setInterval(look, EVERY_MS);
