<template>
  <footer class="rail" aria-label="Holds">
    <svg viewBox="0 0 14 18" width="14" height="18" aria-hidden="true">
      <path
        d="M1 1h12M1 17h12M2.5 1v3L7 9l4.5-5V1M2.5 17v-3L7 9l4.5 5v3"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
      />
    </svg>
    <span>No hold is running.</span>
    <span class="quiet wide">Pressure, vacuum and warm-up holds stand here with their time left.</span>
  </footer>
</template>

<style scoped>
.rail {
  display: flex;
  gap: 10px;
  align-items: center;
  height: 40px;
  padding: 0 16px;
  border-top: 1px solid var(--hair);
  background: var(--brass-soft);
}

svg {
  color: var(--brass);
}

@media (max-width: 760px) {
  .wide {
    display: none;
  }
}
</style>
