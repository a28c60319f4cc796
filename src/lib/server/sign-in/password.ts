import { hash, verify } from '@node-rs/argon2';

/** Letters that a password has at least: length does more than strange signs. */
export const LEAST_LETTERS = 12;
/** Argon2id with 64 MiB and four turns: about a tenth of a second of one core for each guess. */
const WORK = { memoryCost: 65_536, timeCost: 4, parallelism: 1 } as const;

/** What is kept of a password. */
export const hashedPassword = (password: string): Promise<string> => hash(password.normalize('NFKC'), WORK);

let nobody: Promise<string> | null = null;
/**
 * Whether a password is the one that was hashed. Where there is none, it takes as long: nobody learns from the time who has an
 * account.
 */
export async function isPassword(password: string, hashed: string | null): Promise<boolean> {
	nobody ??= hashedPassword('nobody has this password');
	const is = await verify(hashed ?? (await nobody), password.normalize('NFKC'));
	return is && hashed !== null;
}
