import { createHash, randomBytes } from 'node:crypto';

/** A secret of 256 bits that cannot be guessed, fit for an address or a cookie. */
export const newSecret = (): string => randomBytes(32).toString('base64url');

/** What is kept of a secret: whoever reads the database cannot come in with it. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
