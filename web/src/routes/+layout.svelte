<script lang="ts">
	import '../app.css';
	import { applyTheme, rememberedTheme } from '$lib/shell/theme';

	let { children } = $props();
	applyTheme(rememberedTheme());
</script>

{@render children()}
