<template>
  <NuxtPage />
  <FindLine />
</template>
