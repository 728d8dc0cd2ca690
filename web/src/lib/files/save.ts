/** Fetches a file that is made on the way and hands it to the browser to keep. Says what went wrong, or nothing. */
export async function save(address: string, name: string, method: 'POST' | 'GET' = 'POST'): Promise<string> {
	try {
		const answer = await fetch(address, { method });
		if (!answer.ok) {
			const problem = (await answer.json().catch(() => null)) as { title?: string; detail?: string } | null;
			return [problem?.title ?? 'The file could not be made.', problem?.detail].filter(Boolean).join(' ');
		}
		const link = document.createElement('a');
		link.href = URL.createObjectURL(await answer.blob());
		link.download = name;
		link.click();
		setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
		return '';
	} catch {
		return 'The server did not answer. Try again in a minute.';
	}
}
