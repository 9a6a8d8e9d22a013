/**
 * What a browser needs to install the page of a panel (W3C Web Application Manifest): it opens this very panel, over the
 * whole screen.
 *
 * @param setUp the set-up of its address; null for the one that is shown first
 */
export function panelManifest(device: string, setUp: string | null): object {
  const query = setUp === null ? '' : `?set-up=${encodeURIComponent(setUp)}`;
  const address = `/panel/${encodeURIComponent(device)}${query}`;
  return {
    id: address,
    name: `Nimble Lever: ${device.replaceAll('-', ' ')}`,
    short_name: device.replaceAll('-', ' '),
    start_url: address,
    scope: '/panel/',
    display: 'fullscreen',
    background_color: '#f3f0e8',
    theme_color: '#1d2430',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
    ],
  };
}
