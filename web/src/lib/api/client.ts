import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];

export type Session = Schemas['SessionView'];
export type ProgrammeFile = Schemas['ProgrammeFileView'];
export type CaseFiles = Schemas['CaseFileView'];
export type HowFar = Schemas['HowFar'];
export type BackupView = Schemas['BackupView'];
export type AccountView = Schemas['AccountView'];
export type ActView = Schemas['ActView'];
export type BackupLook = Schemas['BackupLook'];
export type LogFile = Schemas['LogFileView'];
export type SheetView = Schemas['SheetView'];
export type SheetLine = Schemas['SheetLine'];
export type FigureView = Schemas['FigureView'];
export type FigureLine = Schemas['FigureLine'];
export type LineFigure = Schemas['LineFigureView'];
export type ColumnRole = Schemas['ColumnRole'];
export type ClientProfile = Schemas['ClientProfile'];
export type ClientView = Schemas['ClientView'];
export type DeskRow = Schemas['DeskRow'];
export type Proposal = Schemas['Proposal'];
export type ReportView = Schemas['ReportView'];
export type ProposalKind = Schemas['ProposalKind'];
export type WeekDot = Schemas['WeekDot'];
export type SendingView = Schemas['SendingView'];
export type LinkView = Schemas['LinkView'];
export type LinkSession = Schemas['LinkSession'];
export type LinkLine = Schemas['LinkLine'];
export type HeldLine = Schemas['HeldLine'];
export type SeenPlan = Schemas['SeenPlan'];
export type ChangeView = Schemas['ChangeView'];
export type SwapMark = Schemas['SwapMark'];
export type LinkStep = Schemas['LinkStep'];
export type LinkNote = Schemas['LinkNote'];
export type LinkLogView = Schemas['LinkLogView'];
export type LinkCheckForm = Schemas['LinkCheckForm'];
export type LinkFixture = Schemas['LinkFixture'];
export type SessionNote = Schemas['SessionNote'];
export type Continuity = Schemas['Continuity'];
export type ReturnView = Schemas['ReturnView'];
export type Joint = Schemas['Joint'];
export type StopReason = Schemas['StopReason'];
export type Home = Schemas['Home'];
export type PlaceView = Schemas['PlaceView'];
export type PlaceName = Schemas['PlaceName'];
export type Practice = Schemas['Practice'];
export type HouseRules = Schemas['HouseRules'];
export type ReviewThresholds = Schemas['ReviewThresholds'];
export type WeekPrices = Schemas['WeekPrices'];
export type Ban = Schemas['Ban'];
export type CommonThing = Schemas['CommonThing'];
export type FamilyReach = Schemas['FamilyReach'];
export type SurfaceStep = Schemas['SurfaceStep'];
export type FixtureUse = Schemas['FixtureUse'];
export type BandDrawing = Schemas['BandDrawing'];
export type CatalogueExercise = Schemas['Exercise'];
export type Drill = Schemas['Drill'];
export type GivenDrill = Schemas['GivenDrill'];
export type School = Schemas['School'];
export type Teaching = Schemas['Teaching'];
export type Possibility = Schemas['Possibility'];
export type UsualDose = Schemas['UsualDose'];
export type Leaning = Schemas['Leaning'];
export type Fixture = Schemas['Fixture'];
export type FixtureKind = Schemas['FixtureKind'];
export type KitItem = Schemas['KitItem'];
export type Handles = Schemas['KitItemPlateLoadedHandles'];
export type FixedWeights = Schemas['KitItemFixedWeights'];
export type Container = Schemas['KitItemContainer'];
export type Bar = Schemas['KitItemPlateLoadedBar'];
export type Vessels = Schemas['KitItemVessels'];
export type Band = Schemas['KitItemBand'];
export type Straps = Schemas['KitItemStraps'];
export type Sliders = Schemas['KitItemSliders'];
export type Scale = Schemas['KitItemScale'];
export type HeldImplement = Schemas['HeldImplement'];
export type Block = Schemas['Block'];
export type BlockView = Schemas['BlockView'];
export type BlockWeek = Schemas['BlockWeek'];
export type Phase = Schemas['Phase'];
export type TemplateOffer = Schemas['TemplateOffer'];
export type WeekTarget = Schemas['WeekTarget'];
export type BenchView = Schemas['BenchView'];
export type RebuiltSession = Schemas['RebuiltSession'];
export type RebuiltLine = Schemas['RebuiltLine'];
export type Alternative = Schemas['Alternative'];
export type Bridge = Schemas['Bridge'];
export type Measure = Schemas['Measure'];
export type PartialPart = Schemas['PartialPart'];
export type SetForm = Schemas['SetForm'];
export type SetTotals = Schemas['SetTotals'];
export type LoadGap = Schemas['LoadGap'];
export type TechniqueRefusal = Schemas['TechniqueRefusal'];
export type SetTrial = Schemas['SetTrial'];
export type TrialView = Schemas['TrialView'];
export type Explained = Schemas['Explained'];
export type EffectiveRange = Schemas['EffectiveRange'];
export type RepetitionRange = Schemas['RepetitionRange'];
export type Unlock = Schemas['Unlock'];
export type WeekView = Schemas['WeekView'];
export type ShrinkView = Schemas['ShrinkView'];
export type WaitingCheck = Schemas['WaitingCheck'];
export type SpreadOutcome = Schemas['SpreadOutcome'];
export type RosterEntry = Schemas['RosterEntry'];
export type MoveView = Schemas['MoveView'];
export type BasketView = Schemas['BasketView'];
export type LineChange = Schemas['LineChange'];
export type Finding = Schemas['Finding'];
export type WeeklyLedger = Schemas['WeeklyLedger'];
export type MuscleRow = Schemas['MuscleRow'];
export type LineChoice = Schemas['LineChoice'];
export type PlanView = Schemas['PlanView'];
export type PlannedSession = Schemas['PlannedSession'];
export type Prescription = Schemas['Prescription'];
export type LineProgress = Schemas['LineProgress'];
export type ProgressView = Schemas['ProgressView'];
export type SetLog = Schemas['SetLog'];

/** The API, typed by its own OpenAPI document. */
export const api = createClient<paths>({ baseUrl: '' });

/** What the server says when it refuses: a title, and messages by field path. */
export interface Problem {
	status?: number | null;
	title?: string | null;
	detail?: string | null;
	errors?: Record<string, string[]>;
}

/** The data, or a thrown {@link Refusal}; a lost sign-in leads to the sign-in page. */
export async function ask<T>(
	answer: Promise<{ data?: T; error?: unknown; response: Response }>
): Promise<NonNullable<T>> {
	let got: { data?: T; error?: unknown; response: Response };
	try {
		got = await answer;
	} catch {
		throw new Refusal({ title: 'The server cannot be reached. What you typed is still here; try again.' });
	}
	if (got.response.status === 401 && !location.pathname.startsWith('/sign-in')) {
		location.assign('/sign-in?back=' + encodeURIComponent(location.pathname));
	}
	// Done, and there is nothing to show for it.
	if (got.response.status === 204) return undefined as unknown as NonNullable<T>;
	if (got.error !== undefined || got.data === undefined || got.data === null) {
		const problem = (got.error ?? {}) as Problem;
		throw new Refusal({ ...problem, status: got.response.status });
	}
	return got.data;
}

/** Something the server refused, in words for the person at the screen. */
export class Refusal extends Error {
	constructor(readonly problem: Problem) {
		super(
			[problem.title, problem.detail, ...Object.values(problem.errors ?? {}).flat()]
				.filter((part): part is string => !!part)
				.join(' ') || 'That did not work. Look whether it was done before you try again.'
		);
	}

	get stale(): boolean {
		return this.problem.status === 409;
	}

	/** Messages whose path begins with this. */
	at(path: string): string[] {
		return Object.entries(this.problem.errors ?? {})
			.filter(([key]) => key === path || key.startsWith(path + '.') || key.startsWith(path + '['))
			.flatMap(([, messages]) => messages);
	}
}

export function messageOf(problem: unknown): string {
	return problem instanceof Error ? problem.message : String(problem);
}
