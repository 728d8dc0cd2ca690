import { defineConfig } from '@playwright/test';

const port = Number(process.env.E2E_PORT ?? 5187);
const emptyPort = port + 1;
const trainedPort = port + 2;
process.env.E2E_TRAINED = `http://127.0.0.1:${trainedPort}`;

/** A real server on its own data, its clock started at a fixed instant. */
function server(at: number, data: string, demo: 'members' | '1' | '0') {
	return {
		command: `rm -rf ${data} && dotnet ../../artifacts/bin/Ingegno.Server/release/Ingegno.Server.dll --urls http://127.0.0.1:${at}`,
		url: `http://127.0.0.1:${at}/api/session`,
		reuseExistingServer: false,
		timeout: 180_000,
		env: {
			INGEGNO_DATA: data,
			INGEGNO_DEMO: demo,
			INGEGNO_NOW: '2026-11-23T09:00:00Z',
			ASPNETCORE_WEBROOT: new URL('../../web/build', import.meta.url).pathname
		}
	};
}

export default defineConfig({
	testDir: '.',
	workers: 1,
	fullyParallel: false,
	retries: 0,
	// Generous, so that a slow or shared machine is no failure; a quick one never waits for them.
	timeout: 240_000,
	expect: { timeout: 30_000 },
	reporter: [['list']],
	use: {
		baseURL: `http://127.0.0.1:${port}`,
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
		timezoneId: 'UTC',
		trace: 'off',
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	},
	webServer: [
		server(port, 'test-results/data-demo', 'members'),
		server(emptyPort, 'test-results/data-empty', '0'),
		server(trainedPort, 'test-results/data-trained', '1')
	],
	metadata: { emptyPort }
});
