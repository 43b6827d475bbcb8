<template>
  <defs>
    <linearGradient id="depth" x1="0" y1="0" x2="0" y2="1">
      <stop offset="0" stop-color="var(--water-light)" />
      <stop offset="1" stop-color="var(--water-deep)" stop-opacity="0.75" />
    </linearGradient>
    <linearGradient id="away" x1="0" x2="1">
      <stop offset="0" stop-color="var(--water-deep)" stop-opacity="0" />
      <stop offset="0.25" stop-color="var(--water-deep)" stop-opacity="0.5" />
      <stop offset="0.75" stop-color="var(--water-deep)" stop-opacity="0.5" />
      <stop offset="1" stop-color="var(--water-deep)" stop-opacity="0" />
    </linearGradient>
    <pattern
      id="ground"
      width="8"
      height="8"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <path d="M0 0V8" stroke="var(--rule)" stroke-width="1.6" />
    </pattern>
  </defs>
</template>
