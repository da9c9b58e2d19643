import type { CheckSaid } from './check-said'

export const TRIALS_SAID = {
  'breaker-voltage': {
    names: [
      'breaker voltage',
      'breaker volts',
      'volts at breaker',
      'voltage at breaker',
      'at breaker',
      'behind breaker',
      'out of breaker',
      'breaker terminals',
      'breaker',
      'load side of breaker',
    ],
  },
  'load-side-voltage': {
    names: [
      'load side',
      'load side voltage',
      'on load side',
      'behind timer',
      'after timer',
      'behind switch',
      'after switch',
      'behind relay',
      'after relay',
      'out of switch',
      'out of timer',
      'load terminals',
    ],
  },
  'drop-test': {
    names: [
      'drop test',
      'drop across joint',
      'across joint',
      'across splice',
      'drop across splice',
      'lost in joint',
      'lost in splice',
      'end to end of joint',
      'drop across connection',
      'drop across cable',
    ],
  },
  'float-run': {
    names: ['float run', 'poured water in', 'water poured in', 'filled pit', 'on its float', 'by its float'],
    outcomes: {
      'starts-and-stops': [
        'starts and stops',
        '+started and stopped',
        '+starts and stops by itself',
        '+cuts in and out',
        '+on and off by itself',
      ],
      'starts-only': [
        'starts only',
        '+starts but never stops',
        '+starts and keeps running',
        '+started but not stop',
        '+starts but not stop',
      ],
      silent: ['+silent', '+never starts', '+not start', '+nothing', '+did not start'],
    },
  },
  'bucket-run': {
    names: ['bucket run', 'run in bucket', 'in bucket', 'from bucket', 'bucket trial'],
    outcomes: {
      pumps: ['+pumps', '+pumps well', '+empties it', '+pumps fine', '+throws water'],
      weak: ['+weak', '+pumps weakly', '+trickles', '+barely pumps'],
      nothing: ['+nothing', '+pumps nothing', '+not pump', '+no water'],
    },
  },
  'dry-bump': {
    names: ['dry bump', 'bumped dry', 'bump', 'bumped', 'bump test', 'one second dry', '1 s dry', 'bumped for second'],
    outcomes: {
      turns: ['+turns', '+turned', '+spins', '+spun', '+jumps', '+kicks'],
      hums: ['+hums', '+hummed', '+only hums', '+still hums', '+hum'],
      silent: ['+silent', '+dead', '+nothing', '+no sound'],
    },
  },
  'barrel-run': {
    names: ['barrel run', 'run in barrel', 'ran in barrel', 'barrel test', 'barrel trial'],
    outcomes: {
      holds: ['+holds', '+held', '+holds pressure', '+holds its pressure', '+good', '+ok', '+fine'],
      weak: ['+weak', '+low', '+weak pressure', '+not make pressure'],
      trips: ['+trips', '+tripped', '+trips overload', '+cuts out'],
    },
  },
  'thrust-gauge': {
    names: ['thrust gauge', 'thrust bearing gauge', 'gauge on thrust bearing'],
    outcomes: {
      clears: ['clears', '+swings free', '+passes', '+free', '+clear', '+goes over'],
      catches: ['catches', '+touches', '+hits', '+hangs', '+not clear', '+catches shaft'],
    },
  },
  'conduit-look': {
    names: ['conduit', 'conduit look', 'in conduit', 'inside conduit', 'conduit run'],
    outcomes: {
      dry: ['+dry', '+bone dry', '+no water'],
      wet: ['+wet', '+water', '+full of water', '+damp', '+flooded', '+water in it'],
    },
  },
  'water-level': {
    names: [
      'water in pool',
      'pool level',
      'pool water level',
      'level in pool',
      'spa level',
      'skimmer level',
      'water level',
      'pool water',
    ],
    outcomes: {
      right: ['+right', '+good', '+ok', '+fine', '+up', '+normal', '+half way up skimmer'],
      low: ['+low', '+too low', '+below skimmer', '+down', '+under skimmer', '+dropped'],
    },
  },
  'house-filter': {
    names: ['house filter', 'sediment filter', 'cartridge filter', 'filter cartridge', 'whole house filter'],
    outcomes: {
      'no-change': ['no change', '+no difference', '+same', '+clean', '+same with it out'],
      'open-cures': [
        'open cures',
        '+cures',
        '+cured it',
        '+bypassed cures',
        '+out cures it',
        '+clogged',
        '+plugged',
        '+blocked',
        '+flow back with it out',
        '+pressure back with it out',
      ],
    },
  },
  'air-hole': {
    names: [
      'air hole',
      'vent hole',
      'weep hole in discharge',
      'anti airlock hole',
      'hole below check valve',
      'airlock hole',
    ],
    outcomes: {
      clear: ['+clear', '+open', '+there', '+spits', '+good'],
      missing: ['+missing', '+none', '+not there', '!no air hole', '!no vent hole', '+never drilled', '+not drilled'],
      plugged: ['+plugged', '+blocked', '+clogged', '+scaled shut'],
    },
  },
  'tank-air': {
    names: ['tank takes air', 'tank air hold', 'tank pumped up', 'pumped tank up', 'charged tank', 'tank charge holds'],
    outcomes: {
      'takes-charge': [
        'takes charge',
        '+holds',
        '+held',
        '+holds its charge',
        '+keeps it',
        '+stays up',
        '+took charge',
        '!tank holds its charge',
        '!tank takes charge',
        '!tank took charge',
        '!tank holds charge',
      ],
      'loses-charge': [
        'loses charge',
        '+lost it',
        '+falls',
        '+drops',
        '+loses it',
        '+bleeds off',
        '!tank loses its charge',
        '!tank loses charge',
        '!tank lost its charge',
        '!tank not hold charge',
      ],
    },
  },
} as const satisfies Record<string, CheckSaid>
