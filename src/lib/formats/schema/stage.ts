import { phasesIn } from '../../core/document/sequence';
import type { ProvidedThing, Bed, Stage, StageBase } from '../../core/document/types';
import { typeId } from './thing';
import Joi from 'joi';
import { BEDS, DRYINGS, ORIGINS, PACES, TERRAINS } from '../../core/document/types';
import { base, condition } from './air';
import { between, count, id, isoDate, name, oneOf } from './common';
import { daySequence } from './phase';

export const bed = Joi.object<Bed>({
	kind: oneOf(BEDS).required(),
	washing: Joi.boolean().default(false),
	drying: oneOf(DRYINGS).default('nothing')
});

/** Bed of a stage that says nothing of it. */
const USUAL_BED: Bed = { kind: 'heated', washing: false, drying: 'small things' };
const origin = Joi.object({
	from: oneOf(ORIGINS).required(),
	note: Joi.string().allow('').max(120).default('')
});

const BASE_FIELDS = [
	'lowTempC',
	'highTempC',
	'altitudeM',
	'lapseKPerKm',
	'inversion',
	'heights',
	'wind10mKmh',
	'humidityPct',
	'wetSpells',
	'ground'
] as const satisfies (keyof StageBase)[];
const providedThing = Joi.object<ProvidedThing>({
	id: id.required(),
	name: Joi.string().trim().min(1).max(400).required(),
	typeId: typeId.allow(null).optional().default(null),
	quantity: count(0, 999).default(1)
});

/** Phases keep their ids for ever: what is noted of one points at it, so no two of a day share one. */
const hasIdTwice = (stage: Stage): boolean => {
	const ids = [stage.sequence, stage.foul?.sequence ?? []].flatMap(phasesIn).map((one) => one.id);
	return new Set(ids).size < ids.length;
};

export const stage = Joi.object<Stage>({
	id: id.required(),
	name: name.required(),
	date: isoDate.required(),
	startMin: count(0, 1439).default(480),
	base: base.required(),
	route: Joi.object({
		startM: condition('altitudeM').required(),
		highM: condition('altitudeM').required(),
		lowM: condition('altitudeM').required(),
		bedM: condition('altitudeM').required()
	}),
	bed: bed.default(USUAL_BED),
	provided: Joi.array().items(providedThing).max(40).unique('id').default([]),
	groupLoadL: between(0, 60),
	terrain: Joi.array().items(oneOf(TERRAINS)).unique().default([]),
	pace: oneOf(PACES).default('guided'),
	patternId: id.allow(null).default(null),
	sequence: daySequence(),
	foul: Joi.object({
		name: name.required(),
		sequence: daySequence(),
		bed: bed.required()
	})
		.allow(null)
		.default(null),
	origins: Joi.object(Object.fromEntries(BASE_FIELDS.map((field) => [field, origin]))).default({})
})
	.custom((value: Stage, helpers) => {
		if (hasIdTwice(value)) return helpers.error('phases.sameId');
		if (value.route) return value;
		const { altitudeM } = value.base;
		return { ...value, route: { startM: altitudeM, highM: altitudeM, lowM: altitudeM, bedM: altitudeM } };
	})
	.messages({ 'phases.sameId': 'has two phases with the same id' });
