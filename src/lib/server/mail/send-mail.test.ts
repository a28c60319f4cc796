import { SMTPServer } from 'smtp-server';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BusyError } from '../errors';
import { isSimulated, mustTakeMail, sendMail } from './send-mail';

/** A mail server on the loopback address that keeps what it is given. */
let taken: { from: string; to: string[]; data: string }[] = [];
let server: SMTPServer;
const port = (): number => (server.server.address() as { port: number }).port;
beforeEach(async () => {
	taken = [];
	server = new SMTPServer({
		authOptional: true,
		disabledCommands: ['STARTTLS'],
		onRcptTo: ({ address }, _, done) =>
			done(address.startsWith('nobody') ? new Error('no such mailbox') : undefined),
		onData: (stream, { envelope }, done) => {
			let data = '';
			stream.setEncoding('utf8');
			stream.on('data', (part: string) => (data += part));
			stream.on('end', () => {
				taken.push({
					from: envelope.mailFrom ? envelope.mailFrom.address : '',
					to: envelope.rcptTo.map(({ address }) => address),
					data
				});
				done();
			});
		}
	});
	await new Promise<void>((ready) => void server.listen(0, '127.0.0.1', ready));
	process.env.SNUG_SMTP = `smtp://127.0.0.1:${port()}`;
	process.env.SNUG_MAIL_FROM = 'Tarn Tours <tours@house.example>';
});
afterEach(async () => {
	delete process.env.SNUG_SMTP;
	delete process.env.SNUG_MAIL_FROM;
	await new Promise<void>((closed) => server.close(() => closed()));
});

const MAIL = { to: 'ada@mail.example', subject: 'What you bring: Hüttenrunde', text: 'Hello Ada' };
describe('mail', () => {
	it('goes to the server of the settings, from the house', async () => {
		expect(isSimulated()).toBe(false);
		await mustTakeMail();
		await sendMail(MAIL);
		expect(taken).toHaveLength(1);
		expect(taken[0]).toMatchObject({ from: 'tours@house.example', to: ['ada@mail.example'] });
		expect(taken[0]!.data).toContain('Hello Ada');
	});
	it('takes no second header or address from what somebody typed', async () => {
		await sendMail({ ...MAIL, subject: 'Hut\r\nBcc: thief@mail.example' });
		expect(taken[0]!.to).toEqual(['ada@mail.example']);
		expect(taken[0]!.data).not.toMatch(/^Bcc:/m);
	});
	it('says that it was not sent when the server does not take it, or is not there', async () => {
		await expect(sendMail({ ...MAIL, to: 'nobody@mail.example' })).rejects.toThrow(BusyError);
		process.env.SNUG_SMTP = 'smtp://127.0.0.1:1';
		await expect(mustTakeMail()).rejects.toThrow('nothing was sent');
		expect(taken).toEqual([]);
	});
	it('goes nowhere without a server', async () => {
		delete process.env.SNUG_SMTP;
		expect(isSimulated()).toBe(true);
		await sendMail(MAIL);
		expect(taken).toEqual([]);
	});
});
