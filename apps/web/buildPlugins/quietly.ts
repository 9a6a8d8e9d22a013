import type { RolldownOptions } from 'vite';

/** What the bundler would say of other people's files is no news to whoever starts the product. */
export const quietly = {
  checks: { pluginTimings: false },
  onLog: (level, log, handle) => {
    // Only servers that draw pages read it.
    if (log.code !== 'MODULE_LEVEL_DIRECTIVE') handle(level, log);
  },
} satisfies RolldownOptions;
