import Joi from 'joi';
import { PARTS } from '../../core/document/parts';
import type { Client } from '../../core/document/types';
import { between, count, fact, id, name, oneOf, versioned } from './common';
import { thing } from './thing';
import { schools } from './trip';

const notAsked = { value: null, source: 'client', state: 'not asked' } as const;
const clientFields = {
	name: name.required(),
	offsetClo: fact(between(-0.6, 0.6)).default(notAsked),
	careful: fact(Joi.boolean()).default(notAsked),
	answeredParts: Joi.array().items(oneOf(PARTS)).unique().default([]),
	schools
};

export const client = Joi.object<Client>({
	id: id.required(),
	...clientFields,
	things: Joi.array().items(thing).max(200).unique('id').required(),
	...versioned
});

export const clientEditSchema = Joi.object({ ...clientFields, version: count(1, 1e9).required() });
export const newClientSchema = Joi.object({ name: name.required(), tripId: id });
