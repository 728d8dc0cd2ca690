import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import path from 'node:path';

/** What a server starts with: the demo's members, the members with their training behind them, or nothing. */
export type Demo = 'members' | 'trained' | 'empty';

const PROGRAM = path.resolve('../../artifacts/bin/Ingegno.Server/release/Ingegno.Server.dll');
const PAGES = path.resolve('../../web/build');
const DEMO = { members: 'members', trained: '1', empty: '0' };

/** A real server on its own data, its clock started at a fixed instant. */
export class Server {
	private constructor(
		private readonly process: ChildProcess,
		readonly address: string
	) {}

	/**
	 * @param data Its folder; what is there is deleted first.
	 * @param from A folder that a server of this demo left behind; null to make the demo anew.
	 */
	static async start(demo: Demo, data: string, from: string | null = null): Promise<Server> {
		await rm(data, { recursive: true, force: true });
		if (from) await cp(from, data, { recursive: true });
		const address = `http://127.0.0.1:${await freePort()}`;
		const process_ = spawn('dotnet', [PROGRAM, '--urls', address], {
			stdio: ['ignore', 'ignore', 'inherit'],
			env: {
				...process.env,
				INGEGNO_DATA: data,
				INGEGNO_DEMO: DEMO[demo],
				INGEGNO_NOW: '2026-11-23T09:00:00Z',
				INGEGNO_LONGEST_WORK: '120',
				ASPNETCORE_WEBROOT: PAGES
			}
		});
		const server = new Server(process_, address);
		while (!(await server.answers())) {
			if (process_.exitCode !== null) throw new Error(`The server ended with ${process_.exitCode}.`);
			await new Promise((again) => setTimeout(again, 100));
		}
		return server;
	}

	private async answers(): Promise<boolean> {
		return fetch(`${this.address}/api/session`).then(
			() => true,
			() => false
		);
	}

	async stop(): Promise<void> {
		if (this.process.exitCode !== null) return;
		this.process.kill();
		await once(this.process, 'exit');
	}
}

/** Where a demo stands made, for every file's server to start from a copy. */
const made = (demo: Demo) => path.resolve('test-results', `made-${demo}`);

/** Makes the demos once: each takes seconds, and every file wants one. */
export default async function makeDemos(): Promise<void> {
	await Promise.all(
		(['members', 'trained'] as const).map(async (demo) => (await Server.start(demo, made(demo))).stop())
	);
}

async function freePort(): Promise<number> {
	const probe = createServer().listen(0, '127.0.0.1');
	await once(probe, 'listening');
	const address = probe.address();
	probe.close();
	await once(probe, 'close');
	if (address === null || typeof address === 'string') throw new Error('No port is free.');
	return address.port;
}

/** One server a file and demo: what one file leaves behind is never another's, so files run beside each other and in any order. */
export class Servers {
	private file = '';
	private readonly running = new Map<Demo, Server>();

	constructor(private readonly worker: number) {}

	async of(file: string, demo: Demo): Promise<Server> {
		if (file !== this.file) {
			await this.stop();
			this.file = file;
		}
		let server = this.running.get(demo);
		if (!server) {
			const data = `data-${this.worker}-${path.basename(file, '.spec.ts')}-${demo}`;
			server = await Server.start(
				demo,
				path.resolve('test-results', data),
				demo === 'empty' ? null : made(demo)
			);
			this.running.set(demo, server);
		}
		return server;
	}

	async stop(): Promise<void> {
		await Promise.all([...this.running.values()].map((server) => server.stop()));
		this.running.clear();
	}
}
