<script setup lang="ts">
/** What can stand beside the beef, and how is it made? The book of sides and sauces: read for so many, changed, added to, as a file. */
import { Button as AButton, Input as AInput } from 'ant-design-vue'
import { nanoid } from 'nanoid'
import { computed, onMounted, ref, useId, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { readRecipes, writeRecipes } from '#core/formats/recipeSchema'
import type { Recipe } from '#core/service/recipe'
import { usePass } from '../../stores/pass'
import { useRecipes } from '../../stores/recipes'
import FileField from '../../ui/FileField.vue'
import NothingHere from '../../ui/NothingHere.vue'
import { openFile } from '../../ui/openFile'
import { saveFile } from '../../ui/saveFile'
import { tell } from '../../ui/tell'
import RecipeForm from './RecipeForm.vue'
import RecipeSheet from './RecipeSheet.vue'

const recipes = useRecipes()
const pass = usePass()
const route = useRoute()
const router = useRouter()
const id = useId()
onMounted(() => void recipes.load())

const wanted = ref('')
const said = ref('')
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
const shelves = computed(() =>
  (['side', 'sauce'] as const).map(kind => ({
    kind,
    title: kind === 'side' ? 'Sides' : 'Sauces, butters and coats',
    recipes: recipes.offered.filter(
      r => r.kind === kind && plain(`${r.name} ${r.amounts.map(a => a.what).join(' ')}`).includes(plain(wanted.value.trim()))
    )
  }))
)
const openId = computed(() => String(route.params['id'] ?? ''))
const open = computed(() => recipes.find(openId.value) ?? null)
/** One that is being written: new, or as it stands in the book. */
const written = ref<Recipe | null>(null)
watch(openId, () => (written.value = null))

const EMPTY: Omit<Recipe, 'id'> = {
  name: '',
  kind: 'side',
  amounts: [],
  steps: [{ what: '', tool: null, takes: { by: 'guests', seconds: 10 * 60 }, hands: 'all', holds: [10 * 60, 30 * 60] }]
}
const begin = (): void => void (written.value = { id: nanoid(10), ...EMPTY })
function keep(recipe: Recipe): void {
  recipes.keep(recipe)
  written.value = null
  void router.push(`/pass/recipes/${recipe.id}`)
}
function takeOut({ id: of, name }: Recipe): void {
  recipes.takeOut(of)
  void router.push('/pass/recipes')
  tell(`${name} is out of the book.`, () => recipes.putBack(of))
}
function restore(recipe: Recipe): void {
  recipes.restore(recipe.id)
  tell(`${recipe.name} is as it was.`, () => recipes.keep(recipe))
}
function putOn(recipe: Recipe): void {
  said.value = pass.add({ recipe: recipe.id }) ?? ''
  if (said.value === '') tell(`${recipe.name} is on the ticket.`, pass.undo)
}
const onTicket = computed(() => pass.ticket.lines.some(l => 'recipe' in l && l.recipe === openId.value))
const state = (r: Recipe): string => (recipes.isOwn(r.id) ? 'your own' : recipes.isChanged(r.id) ? 'changed' : '')

const mine = computed(() => recipes.offered.filter(r => recipes.isOwn(r.id) || recipes.isChanged(r.id)))
function asFile(of: readonly Recipe[]): void {
  saveFile(new Blob([JSON.stringify(writeRecipes(of), null, 2)], { type: 'application/json' }), 'macellaio-recipes.json')
}
async function take(file: File): Promise<void> {
  said.value = await openFile(file, 'a recipe file', json => {
    const read = readRecipes(json)
    const news = recipes.takeIn(read)
    const kept = read.length - news.length
    return `${news.length} came in.${kept > 0 ? ` ${kept} you have already, and they stay as they are.` : ''}`
  })
}
</script>

<template>
  <div class="place single">
    <main>
      <div class="top">
        <h1>The recipe book</h1>
        <router-link to="/pass">Back to the pass</router-link>
        <a-button v-if="!written" class="add" type="primary" @click="begin">A recipe of your own</a-button>
      </div>
      <p v-if="recipes.offline" class="quiet" role="status">The server does not answer. All is kept here and sent when it does.</p>
      <p v-if="recipes.refused" class="wrong" role="alert">The server refused the last change: {{ recipes.refused }}</p>
      <p v-if="said" role="status" class="quiet">{{ said }}</p>

      <recipe-form v-if="written" :recipe="written" @keep="keep" @leave="written = null" />
      <div v-else class="both" :class="{ chosen: open }">
        <nav aria-label="Recipes">
          <label :for="`${id}-find`" class="hidden">Find a recipe</label>
          <a-input :id="`${id}-find`" v-model:value="wanted" placeholder="Find: mash, butter, shallot…" allow-clear />
          <template v-for="shelf in shelves" :key="shelf.kind">
            <section v-if="shelf.recipes.length > 0">
              <h2>{{ shelf.title }}</h2>
              <ul>
                <li v-for="r in shelf.recipes" :key="r.id">
                  <router-link :to="`/pass/recipes/${r.id}`" :aria-current="r.id === openId ? 'page' : undefined">
                    {{ r.name }}<span v-if="state(r)" class="state">{{ state(r) }}</span>
                  </router-link>
                </li>
              </ul>
            </section>
          </template>
          <p v-if="shelves.every(s => s.recipes.length === 0)" class="quiet none">Nothing in the book is called that.</p>
          <div class="files">
            <a-button v-if="mine.length > 0" @click="asFile(mine)">Save {{ mine.length }} of your own</a-button>
            <file-field label="Open a recipe file" @file="take" />
          </div>
        </nav>
        <recipe-sheet
          v-if="open"
          :recipe="open"
          :changed="recipes.isChanged(open.id)"
          :on-ticket="onTicket"
          :full="pass.full"
          @change="written = open"
          @put-on="putOn(open)"
          @take-out="takeOut(open)"
          @put-back="recipes.putBack(open.id)"
          @restore="restore(open)"
          @save="asFile([open])"
        />
        <nothing-here v-else class="which">
          {{
            openId === '' ? 'Choose a recipe to read it for your table, or write one of your own.' : 'There is no such recipe in this book.'
          }}
        </nothing-here>
      </div>
    </main>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 18px;
  margin-bottom: 12px;
}
.top a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.add.ant-btn {
  margin-left: auto;
}
.wrong {
  color: var(--oxblood);
}
.both {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  gap: 18px 40px;
  align-items: start;
}
h2 {
  font-size: 16px;
  margin: 16px 0 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
nav li a {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 5px 8px;
  border-top: 1px solid var(--rule);
}
nav li a[aria-current] {
  background: var(--tile);
  font-weight: 600;
}
.state {
  color: var(--ink-2);
  font-size: 13px;
  font-weight: 400;
  white-space: nowrap;
}
.hidden {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.none {
  margin-top: 14px;
}
.files {
  display: grid;
  gap: 10px;
  margin-top: 18px;
}
@media (max-width: 800px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
  .both.chosen nav {
    order: 2;
  }
  .which {
    display: none;
  }
}
</style>
