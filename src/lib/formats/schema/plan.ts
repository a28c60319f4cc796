import Joi from 'joi';
import { type Document } from '../../core/document/types';
import type { Wish } from '../../core/document/wish';
import { type FixedOutfit, OPENINGS } from '../../core/document/worn';
import { between, count, id, oneOf } from './common';
import { documentSchema } from './document';

import { spareChanges, wishList } from './wish';

const worn = Joi.object({ thingId: id.required(), opening: oneOf(OPENINGS).default('closed') });
const fixedOutfit = Joi.object<FixedOutfit>({
	weather: id,
	stageId: id.required(),
	phaseId: id.required(),
	round: count(1, 30),
	worn: Joi.array().items(worn).max(40).required()
});

/** A request for a plan: a document, whose plan, outfits to be judged as given, and what is wished of the plan. */
export interface PlanRequest extends Document {
	clientId?: string;
	fixed: FixedOutfit[];
	wishes: Wish[];
	spareChanges: number;
	/** ids of what the plan that one has takes: it stays while no day gets plainly worse */
	last?: string[];
}

export const planRequestSchema = (documentSchema as Joi.ObjectSchema<PlanRequest>).keys({
	clientId: id,
	fixed: Joi.array().items(fixedOutfit).max(500).default([]),
	wishes: wishList.default([]),
	spareChanges: spareChanges.default(0),
	last: Joi.array().items(id).max(200).unique()
});

/** Which verdicts change between two documents. */
export interface ChangesRequest {
	before: Document;
	after: Document;
	/** weather of each side that is looked at; the first one when left out */
	weatherBefore?: string;
	weatherAfter?: string;
	/** whose verdicts; everybody's on the trip as it is after when left out */
	clientIds?: string[];
	/** what is wished of the plans, by client */
	wishes: Record<string, { wishes: Wish[]; spareChanges: number }>;
}

export const changesRequestSchema = Joi.object<ChangesRequest>({
	before: documentSchema.required(),
	after: documentSchema.required(),
	weatherBefore: id,
	weatherAfter: id,
	clientIds: Joi.array().items(id).max(60).unique(),
	wishes: Joi.object()
		.pattern(id, Joi.object({ wishes: wishList.default([]), spareChanges: spareChanges.default(0) }))
		.max(60)
		.default({})
});

export const demandSchema = Joi.object({
	airTempC: between(-60, 50).required(),
	airVelocityMs: between(0, 60).required(),
	wind10mKmh: between(0, 250).required(),
	humidityPct: between(0, 100).required(),
	metabolicWm2: between(40, 600).required(),
	minutes: count(1, 1440),
	walkSpeedMs: between(0, 3),
	airPermeability: between(1, 1000)
});
