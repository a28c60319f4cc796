// Serves the build, and ends with the script that started it: when that is gone, its end of our input closes.
import { createServer } from 'node:http';
import compression from 'compression';

process.stdin.resume();
process.stdin.once('close', () => process.kill(process.pid, 'SIGTERM'));
// Waiting for that must not keep a server alive that has been told to stop.
process.stdin.unref?.();

const { handler } = await import('../build/handler.js');
const { HOST = '127.0.0.1', PORT = '3000', SHUTDOWN_TIMEOUT = '3' } = process.env;

// A plan's page is five times smaller when it is sent compressed, which a telephone in the hills needs.
const compress = compression();
const server = createServer((request, response) =>
	compress(request, response, () =>
		handler(request, response, () => {
			response.statusCode = 404;
			response.end();
		})
	)
);
server.listen({ host: HOST, port: Number(PORT) });

let isStopping = false;
/** Takes no more requests, answers those that are here, and closes what still waits after a while. */
function stop() {
	if (isStopping) return;
	isStopping = true;
	server.on('request', (request) => request.once('close', () => server.closeIdleConnections()));
	server.close(() => process.emit('sveltekit:shutdown', 'SIGTERM'));
	server.closeIdleConnections();
	setTimeout(() => server.closeAllConnections(), Number(SHUTDOWN_TIMEOUT) * 1000).unref();
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
