import Joi from 'joi';
import { ANSWERS, MARKS } from '../../../core/kit/answers';
import { CHECK_RESULTS, HOME_CHECKS } from '../../../core/kit/home-test';
import { oneOf } from '../common';
import { mail } from './account';
import { questionId } from './questions';
import { typeId } from '../thing';
import { LANGUAGES } from '../../../core/document/client-facts';

/** Most that comes in at once: what was said during a week without connection. */
const MOST = 300;
const uuid = Joi.string().guid().required();
const saidAt = Joi.string().isoDate().max(40).required();
const thingId = Joi.string().max(64).required();
const size = Joi.string().trim().allow('').max(20).required();
const note = Joi.string().trim().max(1000).required();

const says = Joi.alternatives().conditional('.kind', {
	switch: [
		{
			is: 'mark',
			then: Joi.object({
				kind: Joi.string(),
				id: uuid,
				lineId: Joi.string().max(100).required(),
				mark: oneOf(MARKS).required(),
				saidAt
			})
		},
		{
			is: 'note',
			then: Joi.object({
				kind: Joi.string(),
				id: uuid,
				about: Joi.string().allow('').max(160).required(),
				text: note,
				saidAt
			})
		},
		{
			is: 'thing',
			then: Joi.object({ kind: Joi.string(), id: uuid, typeId, saidAt })
		},
		{
			is: 'answer',
			then: Joi.object({
				kind: Joi.string(),
				id: uuid,
				// one of ours, or one of the house
				questionId: Joi.alternatives(questionId, Joi.string().guid()).required(),
				answer: oneOf(ANSWERS).required(),
				saidAt
			})
		},
		{
			is: 'size',
			then: Joi.object({ kind: Joi.string(), id: uuid, thingId, size, saidAt })
		},
		{
			is: 'test',
			then: Joi.object({
				kind: Joi.string(),
				id: uuid,
				thingId,
				part: oneOf(HOME_CHECKS).required(),
				result: oneOf(CHECK_RESULTS).required(),
				saidAt
			}),
			otherwise: Joi.forbidden()
		}
	]
});
export const answersSchema = Joi.object({ says: Joi.array().items(says).max(MOST).required() });
export const eraseSchema = Joi.object({ name: Joi.string().max(120).required() });
export const noteSchema = Joi.object({ text: note });
export const photoSchema = Joi.object({ id: uuid, thing: thingId });
export const addressSchema = Joi.object({ mail: mail.allow('').required() });
export const houseQuestionSchema = Joi.object({
	english: Joi.string().trim().max(300).required(),
	german: Joi.string().trim().allow('').max(300).required()
});
/** A mail with a new link, or a reminder without one. */
export const mailSchema = Joi.object({
	kind: Joi.valid('link', 'reminder').required(),
	language: Joi.valid(...LANGUAGES).required()
});
export const markSchema = Joi.object({
	lineId: Joi.string().max(100).required(),
	mark: oneOf(MARKS).required()
});
