/** Where the machine stands when it is read. */
export const STANDINGS_SAID = {
  installed: ['back in place', 'pump back in place', 'installed again', 'pump installed', 'back in well', 'pump back in', 'back in pit', 'set back in place', 'back on its pad', 'refitted in place', 'machine installed', 'back on pad', 'pump back down well', 'pump in place'],
  bench: ['on bench', 'pump on bench', 'motor on bench', 'pump on bench now', 'at bench', 'on workbench', 'on tailgate', 'on trestles', 'on my bench', 'pump on tailgate', 'motor on tailgate', 'in shop', 'in workshop', 'on sawhorses', 'on shop bench', 'on shop floor', 'back at shop', 'pump on trestles', 'pump on workbench', 'motor on workbench', 'moved to bench'],
  barrel: ['in barrel', 'in test barrel', 'pump in barrel', 'in tub', 'in test tank', 'pump in test barrel', 'hung in barrel', 'in barrel now', 'in trough', 'in drum', 'in water barrel', 'standing in barrel', 'in test drum', 'hung in test barrel'],
  'in-box': ['in its box', 'still in box', 'in box', 'still boxed', 'new in box', 'not yet fitted', 'in carton', 'in packaging', 'in its carton', 'still in carton'],
} as const satisfies Record<string, readonly string[]>
