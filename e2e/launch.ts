/** Debian's headless Chromium, without the browser's own pages, quiet and without a network of its own. */
export const LAUNCH = {
  executablePath: process.env['OKAZU_CHROMIUM'] ?? '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
