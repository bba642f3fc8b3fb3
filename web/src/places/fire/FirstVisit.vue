<script setup lang="ts">
/** On a first visit: what this is, that the plan is an example, and three ways in. Put away for good when it is put away. */
import { Button as AButton } from 'ant-design-vue'
import { useRouter } from 'vue-router'
import { kept } from '../../stores/kept'

const router = useRouter()
const seen = kept<boolean>(
  'macellaio.welcomed',
  () => false,
  stored => stored === true
)
const WAYS = [
  { says: 'I am at the shop', to: '/counter' },
  { says: 'I have the meat', to: '/bench' },
  { says: 'It is on the fire', to: '/bench?on=fire' }
]
</script>

<template>
  <section v-if="!seen" class="first" aria-label="Welcome">
    <p>
      Macellaio works out how to cook a piece of tender beef, to the degree and the minute, and tells you at the stove what to do next. This
      is a ready example. <a-button class="link" @click="seen = true">Hide this</a-button>
    </p>
    <div class="ways">
      <a-button v-for="w in WAYS" :key="w.to" @click="router.push(w.to)">{{ w.says }}</a-button>
    </div>
  </section>
</template>

<style scoped>
.first {
  background: var(--tile);
  border-left: 3px solid var(--brass);
  padding: 8px 14px 10px;
  margin-bottom: 10px;
  font-size: 14.5px;
  line-height: 1.4;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
@media (max-width: 760px) {
  .first {
    padding: 6px 8px 8px;
  }
  .first > p {
    font-size: 14px;
  }
  .first .link.ant-btn {
    min-height: 0;
  }
  .ways {
    gap: 6px;
  }
  .ways .ant-btn {
    height: 44px;
    padding-inline: 6px;
    font-size: 13.5px;
  }
}
</style>
