import Joi from 'joi';
import type { Document } from '../../../core/document/types';
import { QUESTIONS } from '../../../core/questions/questions';
import { id, oneOf } from '../common';
import { documentSchema } from '../document';

/** What to ask one client of a document. */
export interface QuestionsRequest extends Document {
	clientId?: string;
	/** questions that were asked, and not answered */
	asked: string[];
}
export const questionId = oneOf(QUESTIONS.map((question) => question.id));
export const questionsRequestSchema = (documentSchema as Joi.ObjectSchema<QuestionsRequest>).keys({
	clientId: id,
	asked: Joi.array().items(questionId).unique().default([])
});
