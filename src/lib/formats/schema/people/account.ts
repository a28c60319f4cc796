import Joi from 'joi';

/** What is typed to sign in, to set up a house, and to invite. The fewest letters of a password are the server's. */
const WORDS = {
	'string.empty': 'is missing.',
	'any.required': 'is missing.',
	'string.email': 'is no mail address.',
	'string.min': 'has at least {#limit} letters: a few words in a row are easy to keep in mind.',
	'string.max': 'has at most {#limit} letters.'
};
const mail = Joi.string().trim().max(254).email({ tlds: false }).messages(WORDS);
const name = Joi.string().trim().max(120).messages(WORDS);
const ROLES = ['owner', 'planner', 'guide'] as const;

const chosenPassword = (leastLetters: number): Joi.StringSchema =>
	Joi.string().min(leastLetters).max(200).required().messages(WORDS);
/** @param leastLetters of a password that is chosen */
export const newPasswordSchema = (leastLetters: number): Joi.ObjectSchema =>
	Joi.object({ password: chosenPassword(leastLetters) }).unknown();
/** @param leastLetters of a password that is chosen in place of the old one */
export const otherPasswordSchema = (leastLetters: number): Joi.ObjectSchema =>
	Joi.object({
		old: Joi.string().max(200).required().messages(WORDS),
		password: chosenPassword(leastLetters)
	});
export const signInSchema = Joi.object({
	mail: mail.required(),
	password: Joi.string().max(200).required().messages(WORDS)
});
export const setUpSchema = (leastLetters: number): Joi.ObjectSchema =>
	Joi.object({
		house: name.required(),
		name: name.required(),
		mail: mail.required(),
		password: chosenPassword(leastLetters),
		takesAlong: Joi.boolean().truthy('on').default(false)
	});
export const invitedSchema = Joi.object({
	name: name.required(),
	mail: mail.required(),
	role: Joi.valid(...ROLES).required()
});
export const accountChangeSchema = Joi.object({ role: Joi.valid(...ROLES), closed: Joi.boolean() }).min(1);
export const tokenSchema = Joi.object({
	name: name.required(),
	role: Joi.valid('planner', 'guide').required()
});
