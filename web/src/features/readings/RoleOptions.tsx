import { CHANNEL_ROLES, ROLE_IDS, type ChannelRole } from '@white-ember/core/readings';

const GROUPS = {
  pressure: 'Pressures',
  temperature: 'Temperatures',
  mass: 'What is in the filter',
  percent: 'Shares',
} as const;
const OTHERS = 'Flow, speed and the rest';
const OF_THE_FILTER: ReadonlySet<ChannelRole> = new Set([
  'sootPercent',
  'ashPercent',
  'distanceSinceRegen',
  'regenActive',
]);

const groupOf = (role: ChannelRole): string => {
  if (OF_THE_FILTER.has(role)) return GROUPS.mass;
  const { quantity } = CHANNEL_ROLES[role];
  return quantity in GROUPS ? GROUPS[quantity as keyof typeof GROUPS] : OTHERS;
};

const TITLES = [...new Set([...Object.values(GROUPS), OTHERS])];

/** The channels that a column can be, by what they measure. */
export const RoleOptions = () =>
  TITLES.map((title) => (
    <optgroup key={title} label={title}>
      {ROLE_IDS.filter((role) => groupOf(role) === title).map((role) => (
        <option key={role} value={role}>
          {CHANNEL_ROLES[role].label}
        </option>
      ))}
    </optgroup>
  ));
