import Joi from 'joi';
import { ANSWERS, MARKS } from '../../../core/kit/answers';
import { oneOf } from '../common';
import { questionId } from './questions';
import { typeId } from '../thing';

/** Most that comes in at once: what was said during a week without connection. */
const MOST = 300;
const uuid = Joi.string().guid().required();
const saidAt = Joi.string().isoDate().max(40).required();
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
				questionId: questionId.required(),
				answer: oneOf(ANSWERS).required(),
				saidAt
			}),
			otherwise: Joi.forbidden()
		}
	]
});
export const answersSchema = Joi.object({ says: Joi.array().items(says).max(MOST).required() });
export const eraseSchema = Joi.object({ name: Joi.string().max(120).required() });
export const noteSchema = Joi.object({ text: note });
