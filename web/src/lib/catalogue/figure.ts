import type { CatalogueExercise } from '$lib/api/client';

type Pose = NonNullable<CatalogueExercise['poses']>['start'];
export type Point = [number, number];

/** Lengths over stature (Drillis and Contini, through Winter; from memory), for drawing only. */
const TRUNK = 0.288;
const THIGH = 0.245;
const SHANK = 0.246;
const UPPER_ARM = 0.186;
const FOREARM = 0.2;
const HEAD = 0.1;

export interface Figure {
	head: Point;
	/** Hand, elbow, shoulder, hip, knee, ankle. */
	body: Point[];
}

/** The points of a body seen from the side, facing right, hips at the origin, heights upward, in statures. */
export function figureOf(pose: Pose): Figure {
	const hip: Point = [0, 0];
	const shoulder = along(hip, pose.trunk, TRUNK);
	const arm = pose.trunk + 180 + pose.shoulder;
	const elbow = along(shoulder, arm, UPPER_ARM);
	const hand = along(elbow, arm + pose.elbow, FOREARM);
	const thigh = pose.trunk + 180 + pose.hip;
	const knee = along(hip, thigh, THIGH);
	const ankle = along(knee, thigh - pose.knee, SHANK);
	return { head: along(shoulder, pose.trunk, HEAD), body: [hand, elbow, shoulder, hip, knee, ankle] };
}

/** Moved so that what carries the body stays where it is between start and end. */
export function standing(
	figure: Figure,
	support: NonNullable<CatalogueExercise['poses']>['support']
): Figure {
	const at = figure.body[
		support === 'hands' ? 0 : support === 'feet' || support === 'handsAndFeet' ? 5 : 3
	] ?? [0, 0];
	const move = ([x, y]: Point): Point => [x - at[0], y - at[1]];
	return { head: move(figure.head), body: figure.body.map(move) };
}

/** Turned about the feet until the hands are on the same floor. */
export function levelled(figure: Figure): Figure {
	const [hand, , , , , ankle] = figure.body;
	if (!hand || !ankle) return figure;
	const turn = -Math.atan2(hand[1] - ankle[1], hand[0] - ankle[0]);
	const about = ([x, y]: Point): Point => [
		ankle[0] + (x - ankle[0]) * Math.cos(turn) - (y - ankle[1]) * Math.sin(turn),
		ankle[1] + (x - ankle[0]) * Math.sin(turn) + (y - ankle[1]) * Math.cos(turn)
	];
	return { head: about(figure.head), body: figure.body.map(about) };
}

function along([x, y]: Point, degrees: number, length: number): Point {
	const angle = (degrees * Math.PI) / 180;
	return [x + Math.cos(angle) * length, y + Math.sin(angle) * length];
}
