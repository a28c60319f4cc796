/** Which phase of the day is open for editing: one at a time, the others are a line each. */
class OpenedPhase {
	id = $state<string | null>(null);
	toggle(id: string): void {
		this.id = this.id === id ? null : id;
	}
}
export const openedPhase = new OpenedPhase();
