import Joi from 'joi';
import { BEDS, GROUNDS, PACES, TERRAINS } from '../../core/document/types';
import { count, name, oneOf } from './common';
import { daySequence } from './phase';
import { bed } from './stage';

/** A pattern that a house keeps for itself. */
const patternFields = {
	name: name.required(),
	startMin: count(0, 1439).required(),
	ground: oneOf(GROUNDS).allow(null).required(),
	terrain: Joi.array().items(oneOf(TERRAINS)).unique().default([]),
	bed: oneOf(BEDS).required(),
	pace: oneOf(PACES).default('guided'),
	sequence: daySequence().min(1),
	foul: Joi.object({ name: name.required(), sequence: daySequence(), bed: bed.required() })
		.allow(null)
		.default(null)
};

export const newPatternSchema = Joi.object(patternFields);
