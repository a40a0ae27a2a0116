import type { PackedPicture } from '../core/files/packedPicture';
import type { Card } from '../core/materials/card/card';
import type { Design } from '../core/materials/design/design';
import type { Ink } from '../core/materials/ink/ink';
import type { Recipe } from '../core/recipe/recipe';
import type { TimedWork } from '../core/sheet/times';

/** A recipe as it is kept: with the count of its saves, by which two tabs notice each other. */
export interface RecipeRecord {
  readonly id: string;
  readonly recipe: Recipe;
  /** 1 when made, one more with every save. */
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly updatedAt: number;
}

export const firstRecord = (recipe: Recipe, now: number): RecipeRecord => ({
  id: recipe.id,
  recipe,
  revision: 1,
  createdAt: now,
  updatedAt: now,
});

/** A trio put by, to be made one day. */
export interface KeptTrio {
  /** The same for the same inks in any order (`trioKey`). */
  readonly id: string;
  /** In panel order. */
  readonly inkIds: readonly string[];
  readonly cardId: string;
  /** Milliseconds since 1970. */
  readonly keptAt: number;
}

/** A recipe as it stood when the maker gave that state a name. */
export interface VersionRecord {
  readonly id: string;
  readonly recipeId: string;
  readonly name: string;
  readonly recipe: Recipe;
  /** Milliseconds since 1970. */
  readonly savedAt: number;
}

/** How long one piece of work took this maker. */
export interface TimingRecord {
  readonly id?: number;
  readonly work: TimedWork;
  /** For a piece of usual size, minutes. */
  readonly minutes: number;
  /** Milliseconds since 1970. */
  readonly at: number;
}

/** One remembered choice of the interface. */
export interface Setting {
  readonly key: string;
  readonly value: unknown;
}

/** The drawers in which things are tagged. */
export type Drawer = 'ink' | 'card' | 'design' | 'recipe' | 'trio';

/** What a maker has written on a thing of her own, beside what it is. */
export interface TagRecord {
  /** The drawer and the thing's id. */
  readonly key: string;
  readonly of: Drawer;
  readonly id: string;
  readonly tags: readonly string[];
  readonly isFavourite: boolean;
}

/** A small picture of a recipe, and what it was painted of. */
export interface Thumbnail {
  /** The recipe's. */
  readonly id: string;
  /** Changes with whatever is seen in it. */
  readonly of: string;
  readonly picture: PackedPicture;
}

/** A photograph, never changed: what it is of decides its id. */
export interface PhotoRecord extends PackedPicture {
  /** SHA-1 of its bytes, hexadecimal. */
  readonly id: string;
  /** Pixels. */
  readonly width: number;
  readonly height: number;
}

/** Something that was taken off, as it was: recipes that come back may still ask for it. */
export type GoneRecord = {
  /** What it is, and its id. */
  readonly key: string;
  /** Milliseconds since 1970. */
  readonly at: number;
} & (
  | { readonly of: 'ink'; readonly value: Ink }
  | { readonly of: 'card'; readonly value: Card }
  | { readonly of: 'design'; readonly value: Design }
);

/** A folder on the maker's disk that backups are written to. It belongs to this browser and goes into no file. */
export interface FolderRecord {
  readonly key: 'backups';
  readonly folder: FileSystemDirectoryHandle;
  /** When one was last written there, milliseconds since 1970. */
  readonly lastWritten?: number;
}
