/** Made when the page is built: see `iconNodes` of Vite's settings. */
declare module 'virtual:icon-nodes' {
  import type { IconNode } from 'lucide-react';

  const nodes: Readonly<Record<string, IconNode>>;
  export default nodes;
}
