export function ensureDatabase(url: string, name: string): Promise<void>;
export function dropDatabase(url: string, name: string): Promise<void>;
export function sibling(url: string, name: string): string;
