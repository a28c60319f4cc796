// The production build, served on the loopback address.
import path from 'node:path';
import { Trouble } from './console.mjs';
import { run } from './machine.mjs';

const READY_WITHIN_MS = 30_000;

/** Serves the build and waits until it answers with its database. Gives back the address and `stop`. */
export async function startApp(root, port, env) {
	const address = `http://127.0.0.1:${port}`;
	const { child, ended } = run(process.execPath, [path.join(root, 'scripts/serve.mjs')], {
		cwd: root,
		env: {
			...process.env,
			...env,
			HOST: '127.0.0.1',
			PORT: String(port),
			ORIGIN: address,
			SNUG_LOG_FILE: env.SNUG_LOG_FILE ?? process.env.SNUG_LOG_FILE ?? path.join(root, '.data/app.log'),
			// A copy of the whole house; what else is sent has a limit of its own.
			BODY_SIZE_LIMIT: '64M',
			SHUTDOWN_TIMEOUT: '3',
			NODE_ENV: 'production'
		},
		stdio: ['pipe', 'inherit', 'inherit'],
		detached: true
	});
	let over = null;
	ended.then((end) => (over = end));
	const until = Date.now() + READY_WITHIN_MS;
	for (;;) {
		const health = await fetch(`${address}/api/v1/health`).catch(() => null);
		if (health?.ok) break;
		if (over || Date.now() > until) {
			child.kill('SIGTERM');
			const answer = health ? await health.text() : 'no answer';
			throw new Trouble(
				`The app did not come up: ${answer}`,
				'start again; if it stays so, remove the folder build and start once more.'
			);
		}
		await new Promise((resolve) => setTimeout(resolve, 100));
	}
	return {
		address,
		pid: child.pid,
		ended,
		async stop() {
			child.kill('SIGTERM');
			await ended;
		}
	};
}
