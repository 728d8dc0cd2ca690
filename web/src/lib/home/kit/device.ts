import { Refusal } from '$lib/api/client';

/** One figure of a measuring device. */
export interface Reading {
	value: number;
	unit: string;
	steady: boolean;
}

type Device = 'luggageScale' | 'bathroomScale' | 'footScale' | 'phoneLevel';

/**
 * Listens to a device until it is done and gives the mean of its steady figures.
 *
 *     const newtons = await readDevice('luggageScale', { name, restLength, length }, (r) => (shown = r.value));
 *
 * @param about what is measured; a real device ignores it, a stand-in measures it
 * @param onreading called with every figure on the way
 */
export async function readDevice(
	device: Device,
	about: Record<string, string>,
	onreading: (reading: Reading) => void
): Promise<number> {
	const answer = await fetch(`/api/devices/${device}/readings?${new URLSearchParams(about)}`);
	if (!answer.ok || !answer.body)
		throw new Refusal({ ...(await answer.json().catch(() => ({}))), status: answer.status });
	const steady: number[] = [];
	let rest = '';
	const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
	for (let chunk = await reader.read(); !chunk.done; chunk = await reader.read()) {
		const lines = (rest + chunk.value).split('\n');
		rest = lines.pop() ?? '';
		for (const line of lines.filter((l) => l.startsWith('data:'))) {
			const reading = JSON.parse(line.slice(5)) as Reading;
			onreading(reading);
			if (reading.steady) steady.push(reading.value);
		}
	}
	if (steady.length === 0)
		throw new Refusal({
			title: 'The figures never settled. Hold still and read again, or type what the scale shows.'
		});
	return steady.reduce((sum, value) => sum + value, 0) / steady.length;
}
