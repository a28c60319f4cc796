import Joi from 'joi';
import { DOINGS, MARKS, PHASE_KINDS, type Sequence } from '../../core/document/types';
import { livedCount } from '../../core/document/sequence';
import { PLACES } from '../../core/document/weather';
import { condition, typed } from './air';
import { between, count, id, name, oneOf } from './common';

const phase = Joi.object({
	type: Joi.string().valid('phase').required(),
	id: id.required(),
	name: name.required(),
	kind: oneOf(PHASE_KINDS).required(),
	startMin: count(0, 1439).allow(null).default(null),
	minutes: count(1, 1440).required(),
	altitudeM: condition('altitudeM').allow(null).default(null),
	along: between(0, 3).default(0),
	place: oneOf([...PLACES, 'bed']).required(),
	ownSpeedKmh: between(0, 150).default(0),
	effortWm2: between(40, 600).required(),
	marks: Joi.array().items(oneOf(MARKS)).unique().default([]),
	doing: oneOf(DOINGS),
	typed: typed.default({}),
	guided: Joi.object({
		minutes: count(1, 1440).required(),
		effortWm2: between(40, 600).required(),
		ownSpeedKmh: between(0, 150).default(0),
		fitWm2: between(40, 600)
	})
});

/** Loops may hold loops, three deep; deeper days do not exist. */
function sequence(depth: number): Joi.ArraySchema {
	if (depth === 0) return Joi.array().items(phase).max(60);
	const loop = Joi.object({
		type: Joi.string().valid('loop').required(),
		id: id.required(),
		name: name.required(),
		count: count(1, 30).required(),
		sequence: sequence(depth - 1)
			.min(1)
			.required()
	});
	const item = Joi.alternatives().conditional(
		Joi.object({ type: Joi.string().valid('loop').required() }).unknown(),
		{
			then: loop,
			otherwise: phase
		}
	);
	return Joi.array().items(item).max(60);
}

/** A day of more phases than this, loops rolled out, is a slip of the finger. */
const MOST_LIVED_PHASES = 120;
export const daySequence = (): Joi.ArraySchema =>
	sequence(3)
		.required()
		.custom((value: Sequence, helpers) =>
			livedCount(value) > MOST_LIVED_PHASES
				? helpers.error('day.tooLong', { limit: MOST_LIVED_PHASES })
				: value
		)
		.messages({ 'day.tooLong': 'a day has at most {#limit} phases, loops rolled out' });
