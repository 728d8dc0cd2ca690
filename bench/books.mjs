// Workbooks and another program: node bench/books.mjs (LibreOffice needed; part of bench/soak where it is installed).
// What goes out as a workbook is opened and written again as text by it, and compared cell by cell with what goes out as text; what it writes as a
// workbook from our text is brought in and must read as the text does.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { signIn, start, stop } from './server.mjs';

const base = 'http://127.0.0.1:5396';
const data = mkdtempSync(join(tmpdir(), 'ingegno-books-'));
const folder = mkdtempSync(join(tmpdir(), 'ingegno-books-'));
/** Comma, quote, UTF-8, from row 1, cells as they are stored, every sheet into a file of its own. */
const EVERY_SHEET = 'csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,false,false,false,false,-1';
const TEXT = 'Text - txt - csv (StarCalc):44,34,76,1,,0,false,true,false';

function convert(file, to, { into = folder, options = [] } = {}) {
	execFileSync('soffice', [`-env:UserInstallation=file://${folder}/profile`, '--headless', ...options, '--convert-to', to, '--outdir', into, join(folder, file)], { stdio: 'pipe' });
}

/** RFC 4180. */
function rows(text) {
	const found = [[]];
	for (const [, quoted, plain, end] of text.replace(/^\uFEFF/, '').matchAll(/(?:"((?:[^"]|"")*)"|([^",\r\n]*))(,|\r?\n|$)/g)) {
		found.at(-1).push(quoted === undefined ? plain : quoted.replaceAll('""', '"'));
		if (end === '' || end === undefined) break;
		if (end !== ',') found.push([]);
	}
	return found.filter((row) => row.some((cell) => cell !== ''));
}

/** Numbers by their value, days and words by their letters; the apostrophe that keeps a text from being a formula is none of it. */
const value = (cell) => (cell.trim() !== '' && Number.isFinite(Number(cell)) ? Number(cell) : cell.replace(/^'/, '').trim());
const same = (what, ours, theirs) => {
	const [a, b] = [ours, theirs].map((all) => all.map((row) => row.map(value).join('\u241F').replace(/\u241F+$/, '')));
	const at = a.findIndex((row, i) => row !== b[i]);
	if (at >= 0 || a.length !== b.length) throw new Error(`${what}, row ${at + 1} of ${a.length} and ${b.length}:\n  ${a[at]}\n  ${b[at]}`);
	console.log(`${what}: ${a.length} rows alike`);
};

const server = await start(base, data);
try {
	const cookie = await signIn(base);
	const get = async (path) => Buffer.from(await (await ask('GET', path)).arrayBuffer());
	async function ask(method, path, body) {
		const answer = await fetch(base + path, { method, headers: { cookie, 'content-type': 'application/octet-stream' }, body });
		if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
		return answer;
	}

	for (const client of (await (await ask('GET', '/api/roster')).json()).filter((c) => c.isSaved)) {
		const files = `/api/clients/${client.id}/files`;
		const log = (await get(`${files}/log.csv`)).toString();
		writeFileSync(join(folder, 'log.xlsx'), await get(`${files}/log.xlsx`));
		convert('log.xlsx', EVERY_SHEET);
		const sheet = readdirSync(folder).find((f) => f.startsWith('log') && f.endsWith('.csv'));
		same(`${client.name}, log`, rows(log), rows(readFileSync(join(folder, sheet), 'utf8')));
		rmSync(join(folder, sheet));

		writeFileSync(join(folder, 'back.csv'), log);
		convert('back.csv', 'xlsx', { options: [`--infilter=${TEXT}`] });
		const [fromText, fromBook] = await Promise.all(
			[Buffer.from(log), readFileSync(join(folder, 'back.xlsx'))].map(async (body) => await (await ask('POST', `/api/clients/${client.id}/log-file`, body)).json())
		);
		if (JSON.stringify(fromText) !== JSON.stringify(fromBook)) throw new Error(`${client.name}, a log brought in: ${JSON.stringify(fromText).slice(0, 400)} and ${JSON.stringify(fromBook).slice(0, 400)}`);

		writeFileSync(join(folder, 'programme.csv'), await get(`${files}/programme.csv`));
		convert('programme.csv', 'xlsx', { options: [`--infilter=${TEXT}`] });
		const read = async (file) => (await (await ask('POST', `/api/clients/${client.id}/programme-file`, readFileSync(join(folder, file)))).json()).text.split('\n').map((line) => [line]);
		same(`${client.name}, programme brought in as text and as a workbook`, await read('programme.csv'), await read('programme.xlsx'));

		// Sheets, formats and merged cells of our own book, saved again by the other program.
		writeFileSync(join(folder, 'ours.xlsx'), await get(`${files}/programme.xlsx`));
		convert('ours.xlsx', 'xlsx:Calc MS Excel 2007 XML', { into: join(folder, 'again') });
		same(`${client.name}, our workbook saved again`, await read('ours.xlsx'), await read('again/ours.xlsx'));
	}
} finally {
	await stop(server);
	for (const made of [data, folder]) rmSync(made, { recursive: true, force: true });
}
