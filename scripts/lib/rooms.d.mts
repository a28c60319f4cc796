export interface Room {
	folder: string;
	uses: string[];
	packages: string[];
	why: string;
}
export const ROOMS: Room[];
export const roomOf: (file: string) => Room | null;
export const mayUseFile: (room: Room, file: string) => boolean;
export const mayUsePackage: (room: Room, name: string) => boolean;
