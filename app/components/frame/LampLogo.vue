<template>
  <svg viewBox="0 0 32 32" width="32" height="32" fill="none" stroke="currentColor" stroke-width="2" aria-hidden="true">
    <path
      d="M16 3a9.500 9.500 0 0 0-5.400 17.300c.9.7 1.400 1.600 1.400 2.700
          h8c0-1.100.5-2 1.400-2.700A9.500 9.500 0 0 0 16 3Z"
    />
    <path d="M12 26h8M13.500 29.200h5" />
    <path d="M8.500 12.500c4-3.600 11-3.600 15 0-4 3.600-11 3.600-15 0Z" fill="currentColor" stroke="none" />
  </svg>
</template>
