<script lang="ts">
	import Combobox from '../parts/Combobox.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { guestHits } from '$lib/words/guest/guest-search';
	import { guestMessage, guestTypeName, type Language } from '$lib/words/guest/guest-words';

	/** Something that the client owns, found by everyday words. */
	interface Props {
		language: Language;
		onown: (typeId: string) => void;
	}
	let { language, onown }: Props = $props();
	let typed = $state('');
	let said = $state('');
	const found = $derived(typed.trim() === '' ? [] : guestHits(language, typed));
</script>

<Combobox
	id="own"
	label={guestMessage(language, 'list.add')}
	listLabel={guestMessage(language, 'list.add')}
	placeholder={guestMessage(language, 'list.addHint')}
	bind:value={typed}
	options={found}
	keyOf={(id) => id}
	pick={(id) => {
		typed = '';
		said = guestMessage(language, 'list.added', { thing: guestTypeName(language, id, readerUnits()) });
		onown(id);
	}}
	none={guestMessage(language, typed.trim() === '' ? 'list.addEmpty' : 'list.addNone')}
	framed
>
	{#snippet option(id)}{guestTypeName(language, id, readerUnits())}{/snippet}
</Combobox>
<p role="status" class="small">{said}</p>
