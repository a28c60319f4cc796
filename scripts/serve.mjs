// Serves the build, and ends with the script that started it: when that is gone, its end of our input closes.
process.stdin.resume();
process.stdin.once('close', () => process.kill(process.pid, 'SIGTERM'));
// Waiting for that must not keep a server alive that has been told to stop.
process.stdin.unref?.();
await import('../build/index.js');
