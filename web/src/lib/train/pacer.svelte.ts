/** Counts repetitions through their phases, or seconds of a hold, by the screen's own clock. */
export interface PacePhase {
	word: string;
	seconds: number;
}

export class Pacer {
	running = $state(false);
	/** Whole repetitions, or seconds held. */
	count = $state(0);
	/** Where in the repetition: phase and part of it done. */
	phase = $state(0);
	part = $state(0);
	sound = $state(true);
	#from = 0;
	#base = 0;
	#frame = 0;
	#audio: AudioContext | null = null;

	constructor(
		private phases: PacePhase[],
		private readonly oncount: (count: number) => void
	) {}

	/** Another exercise, or the same set found again after a reload. */
	set(phases: PacePhase[], counted: number) {
		this.stop();
		this.phases = phases;
		this.count = counted;
		this.phase = 0;
		this.part = 0;
	}

	get isHold(): boolean {
		return this.phases.length === 0;
	}

	get #repetition(): number {
		return this.isHold ? 1 : this.phases.reduce((sum, p) => sum + p.seconds, 0);
	}

	start() {
		this.running = true;
		this.#base = this.count;
		this.#from = performance.now();
		if (this.sound) this.#audio ??= new AudioContext();
		this.#tick();
	}

	stop() {
		this.running = false;
		cancelAnimationFrame(this.#frame);
		this.phase = 0;
		this.part = 0;
	}

	/** Corrected by hand: the pacer goes on from there. */
	correct(count: number) {
		this.count = Math.max(0, count);
		if (this.running) this.start();
		this.oncount(this.count);
	}

	readonly #tick = () => {
		if (!this.running) return;
		const elapsed = (performance.now() - this.#from) / 1000;
		const done = this.#base + Math.floor(elapsed / this.#repetition);
		let rest = elapsed % this.#repetition;
		let at = 0;
		while (at < this.phases.length - 1 && rest >= (this.phases[at]?.seconds ?? 0)) {
			rest -= this.phases[at]?.seconds ?? 0;
			at++;
		}
		if (at !== this.phase || done !== this.count) this.#beep(done !== this.count ? 660 : 440);
		this.phase = at;
		this.part = this.isHold ? 0 : rest / (this.phases[at]?.seconds ?? 1);
		if (done !== this.count) {
			this.count = done;
			this.oncount(done);
		}
		this.#frame = requestAnimationFrame(this.#tick);
	};

	/** A short tone made here, no file. */
	#beep(hertz: number) {
		if (!this.sound || !this.#audio) return;
		tone(this.#audio, hertz);
	}
}

export function tone(audio: AudioContext, hertz: number) {
	const gain = audio.createGain();
	gain.gain.setValueAtTime(0.15, audio.currentTime);
	gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.12);
	const voice = audio.createOscillator();
	voice.frequency.value = hertz;
	voice.connect(gain).connect(audio.destination);
	voice.start();
	voice.stop(audio.currentTime + 0.13);
}
