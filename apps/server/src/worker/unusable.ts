import { NewerDatabase } from '../database/newerDatabase.ts';

/** Why the database cannot be used, and what to do about it. */
export function unusableWords(error: unknown): string {
  if (error instanceof NewerDatabase) return error.message;
  const { code, message } = (error ?? {}) as { code?: string; message?: string };
  switch (code) {
    case 'ECONNREFUSED':
    case 'ENOTFOUND':
    case 'EHOSTUNREACH':
    case 'ETIMEDOUT':
      return 'The database server does not answer at its address. Start it, or correct DATABASE_URL.';
    case '28P01':
    case '28000':
      return 'The database server refused the name or password. Correct DATABASE_URL.';
    case '3D000':
      return 'There is no database of that name on the server. Make it, or correct DATABASE_URL.';
    case '42501':
      return 'The database account may not make tables. Give it that right, or use another account.';
    case '53100':
      return 'The disk that the database is on is full. Make room and start again; nothing saved is lost.';
    case '53300':
      return 'The database server has too many connections. Close some and start again.';
    default:
      return `The database cannot be used: ${message ?? 'it gave no reason'}. Nothing was changed.`;
  }
}
