const KEY = 'ingegno-theme';

export type Theme = 'day' | 'night';

/** The theme chosen before, else what the device asks for. */
export function rememberedTheme(): Theme {
	const kept = localStorage.getItem(KEY);
	if (kept === 'day' || kept === 'night') return kept;
	return matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day';
}

export function applyTheme(theme: Theme) {
	document.documentElement.dataset.theme = theme;
	localStorage.setItem(KEY, theme);
}
