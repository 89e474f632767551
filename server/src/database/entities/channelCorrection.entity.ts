import { EntitySchema } from 'typeorm';

/** What a workshop said that a heading is; an empty role says that it is none of the known ones. */
export interface ChannelCorrectionRow {
  workshopId: string;
  heading: string;
  role: string;
  memberId: string;
  setAt: Date;
}

export const ChannelCorrectionEntity = new EntitySchema<ChannelCorrectionRow>({
  name: 'ChannelCorrection',
  tableName: 'channel_correction',
  columns: {
    workshopId: { type: 'uuid', name: 'workshop_id', primary: true },
    heading: { type: 'text', primary: true },
    role: { type: 'text' },
    memberId: { type: 'uuid', name: 'member_id' },
    setAt: { type: 'timestamptz', name: 'set_at', createDate: true },
  },
});
