import type { Page } from '@playwright/test';

/** Put before the script of a worker: it waits between two steps of its search until it is told to go on. */
const PACED = `{
	const said = new BroadcastChannel('paced');
	let free = 0, waiting = null;
	const next = () => { if (waiting && free > 0) { free--; const go = waiting; waiting = null; setTimeout(go); } };
	said.onmessage = ({ data }) => { free += data; next(); };
	self.MessageChannel = class {
		port1 = { onmessage: null };
		port2 = { postMessage: () => { waiting = () => this.port1.onmessage?.({}); next(); } };
	};
	let passedMs = 0;
	performance.now = () => (passedMs += 70);
}
`;

/**
 * Has a worker go at the pace of the test: it stops before every step of its search, however fast the machine is.
 * @returns lets it take so many steps more
 */
export async function pacedWorker(page: Page, script: string): Promise<(steps: number) => Promise<void>> {
	await page.route(`**/${script}*.js`, async (route) => {
		const response = await route.fetch();
		await route.fulfill({ response, body: PACED + (await response.text()) });
	});
	return (steps) => page.evaluate((many) => new BroadcastChannel('paced').postMessage(many), steps);
}
