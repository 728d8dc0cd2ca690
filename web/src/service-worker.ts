/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

/** Keeps the client's page able to start without a signal: the shell and its parts, nothing of anybody's data. */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `ingegno-${version}`;
const SHELL = '/index.html';
const PATIENCE = 3000;

worker.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(CACHE)
			.then((cache) => cache.addAll([SHELL, ...build, ...files]))
			.then(() => worker.skipWaiting())
	);
});

worker.addEventListener('activate', (event) => {
	event.waitUntil(
		caches
			.keys()
			.then((keys) => Promise.all(keys.filter((key) => key !== CACHE).map((key) => caches.delete(key))))
			.then(() => worker.clients.claim())
	);
});

worker.addEventListener('fetch', (event) => {
	const url = new URL(event.request.url);
	if (event.request.method !== 'GET' || url.origin !== location.origin || url.pathname.startsWith('/api'))
		return;
	if (event.request.mode === 'navigate') {
		if (url.pathname.startsWith('/train/')) event.respondWith(networkOr(event.request, SHELL));
	} else if (build.includes(url.pathname) || files.includes(url.pathname)) {
		event.respondWith(kept(url.pathname).then((answer) => answer ?? fetch(event.request)));
	}
});

async function kept(path: string): Promise<Response | undefined> {
	return (await caches.open(CACHE)).match(path);
}

/** The network while it answers soon, else what was kept. */
async function networkOr(request: Request, path: string): Promise<Response> {
	const late = new Promise<never>((_, reject) => setTimeout(() => reject(new Error('late')), PATIENCE));
	try {
		const answer = await Promise.race([fetch(request), late]);
		if (answer.ok) return answer;
	} catch {
		// No signal: what was kept does.
	}
	return (await kept(path)) ?? Response.error();
}
