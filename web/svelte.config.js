import adapter from '@sveltejs/adapter-static';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** One page served by the API for every address; the server adds the content security policy. */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter({ fallback: 'index.html' }),
		output: { bundleStrategy: 'split' },
		// Only the client's page works offline; it registers the worker itself.
		serviceWorker: { register: false }
	}
};
