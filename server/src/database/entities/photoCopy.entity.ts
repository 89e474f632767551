import { EntitySchema } from 'typeorm';

/** `full` as it is looked at, `thumb` for lists, `print` for the PDF. */
export const PHOTO_SIZES = ['full', 'thumb', 'print'] as const;
export type PhotoSize = (typeof PHOTO_SIZES)[number];

/** A photo made anew from its points: nothing else of its file is in it. */
export interface PhotoCopyRow {
  photoId: string;
  size: PhotoSize;
  mediaType: string;
  bytes: Buffer;
}

export const PhotoCopyEntity = new EntitySchema<PhotoCopyRow>({
  name: 'PhotoCopy',
  tableName: 'photo_copy',
  columns: {
    photoId: { type: 'uuid', name: 'photo_id', primary: true },
    size: { type: 'text', primary: true },
    mediaType: { type: 'text', name: 'media_type' },
    bytes: { type: 'bytea' },
  },
});
