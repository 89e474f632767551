export const photos = 'Photos';
export const takeOrChooseAPhoto = 'Take or choose a photo';
export const photoWithoutACaption = 'Photo without a caption';
