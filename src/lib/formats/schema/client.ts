import { CLIENT_FACTS, CLIENT_FACT_NAMES, type ClientFactName } from '../../core/document/client-facts';
import Joi from 'joi';
import { LIMITS } from '../limits';
import { PARTS } from '../../core/document/parts';
import type { Client } from '../../core/document/types';
import { between, count, fact, id, name, oneOf, versioned } from './common';
import { thing } from './thing';
import { schools } from './trip';

const notAsked = { value: null, source: 'client', state: 'not asked' } as const;
const clientFact = (rule: (typeof CLIENT_FACTS)[ClientFactName]): Joi.ObjectSchema =>
	fact(rule === 'yes or no' ? Joi.boolean() : between(rule.min, rule.max));

const clientFields = {
	name: name.required(),
	...Object.fromEntries(
		CLIENT_FACT_NAMES.map((fact) => [fact, clientFact(CLIENT_FACTS[fact]).default(notAsked)])
	),
	answeredParts: Joi.array().items(oneOf(PARTS)).unique().default([]),
	schools
};

export const client = Joi.object<Client>({
	id: id.required(),
	...clientFields,
	things: Joi.array().items(thing).max(LIMITS.things).unique('id').required(),
	...versioned
});

export const clientEditSchema = Joi.object({ ...clientFields, version: count(1, 1e9).required() });
export const newClientSchema = Joi.object({ name: name.required(), tripId: id });
