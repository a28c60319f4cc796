import { CLIENT_FACTS, CLIENT_FACT_NAMES, type ClientFactName } from '../../core/document/client-facts';
import Joi from 'joi';
import { LIMITS } from '../limits';
import { PARTS } from '../../core/document/parts';
import type { Client } from '../../core/document/types';
import { between, count, fact, id, name, oneOf, versioned } from './common';
import { thing } from './thing';
import { schools } from './trip';

const notAsked = { value: null, source: 'client', state: 'not asked' } as const;
function clientFact(rule: (typeof CLIENT_FACTS)[ClientFactName]): Joi.ObjectSchema {
	if (rule === 'yes or no') return fact(Joi.boolean());
	if ('oneOf' in rule) return fact(oneOf(rule.oneOf));
	return fact(
		'someOf' in rule ? Joi.array().items(oneOf(rule.someOf)).unique() : between(rule.min, rule.max)
	);
}

const clientFields = {
	name: name.required(),
	answeredParts: Joi.array().items(oneOf(PARTS)).unique().default([]),
	schools
};

const facts = Object.fromEntries(CLIENT_FACT_NAMES.map((fact) => [fact, clientFact(CLIENT_FACTS[fact])]));
/** In a document what is not said of a client is not asked; in an edit it stays as it is. */
const allFacts = Object.fromEntries(
	Object.entries(facts).map(([name, rule]) => [name, rule.default(notAsked)])
);

export const client = Joi.object<Client>({
	id: id.required(),
	...clientFields,
	...allFacts,
	things: Joi.array().items(thing).max(LIMITS.things).unique('id').required(),
	forOthers: Joi.object({ litres: between(0, 600).required(), massG: between(0, 300_000).required() }),
	fromOthers: Joi.array().items(Joi.string().max(64)).max(LIMITS.things),
	...versioned
});

export const clientEditSchema = Joi.object({ ...clientFields, ...facts, version: count(1, 1e9).required() });
export const newClientSchema = Joi.object({ name: name.required(), tripId: id });
