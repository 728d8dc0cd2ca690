import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	build: { assetsInlineLimit: 0 },
	server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
	// The browser's Svelte, not the server's: what is tested is what reacts.
	resolve: process.env.VITEST ? { conditions: ['browser'] } : {},
	test: { environment: 'happy-dom', include: ['src/**/*.test.ts'], setupFiles: ['src/testing/setup.ts'] }
});
