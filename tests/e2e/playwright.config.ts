import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: '.',
	globalSetup: './server.ts',
	// One for each core: every file has its own server.
	workers: Math.max(1, Math.min(4, availableParallelism())),
	fullyParallel: false,
	retries: 0,
	// Generous, so that a slow or shared machine is no failure; a quick one never waits for them.
	timeout: 240_000,
	expect: { timeout: 60_000 },
	reporter: [['list']],
	use: {
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
	}
});
