<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from '#imports'
import { useStudio } from '~/stores/studio'
import { useFiles } from './files'
import SwitchField from '~/components/ui/SwitchField.vue'
import SheetDialog from '~/components/ui/SheetDialog.vue'

const studio = useStudio()
const router = useRouter()
/** A commission's file that was read, or why it was refused; and whether a commission is to go. */
const { waiting, refused, removing, close } = useFiles()
const withWorkshop = ref(true)
const MOST_LINES = 8

const title = computed(() =>
  refused.value
    ? 'Not opened'
    : waiting.value
      ? waiting.value.preview.isNew
        ? 'Add this commission?'
        : 'Change this commission?'
      : `Remove “${studio.commission?.brief.name ?? ''}”?`,
)

async function take(): Promise<void> {
  if (!waiting.value) return
  await studio.take(waiting.value.file, withWorkshop.value && waiting.value.preview.workshop.length > 0)
  close()
  if (router.currentRoute.value.path === '/new') await router.push('/arrange')
}

async function remove(): Promise<void> {
  const id = studio.commission?.id
  close()
  if (id) await studio.remove(id)
}
</script>

<template>
  <SheetDialog :title="title" width="small" @close="close">
    <template v-if="refused">
      <p class="text-ink-soft">{{ refused.name }}</p>
      <p class="mt-3 rounded-xl bg-stop-soft px-4 py-3 break-words" data-testid="file-refused">
        {{ refused.sentence }}
      </p>
      <p class="mt-3 text-ink-soft">Nothing in the studio has changed.</p>
    </template>
    <template v-else-if="waiting">
      <p>
        {{ waiting.file.commission.brief.name }}, {{ waiting.file.commission.brief.eventAt.replace('T', ' ') }},
        {{
          waiting.file.commission.options.length === 1
            ? '1 option'
            : `${waiting.file.commission.options.length} options`
        }}
      </p>
      <template v-if="!waiting.preview.isNew">
        <p v-if="waiting.preview.commission.length === 0" class="mt-3 text-ink-soft">
          It is the same as the one in the studio.
        </p>
        <ul v-else class="mt-3 text-[0.92rem]">
          <li v-for="line in waiting.preview.commission.slice(0, MOST_LINES)" :key="line.what">
            {{ line.what }}: <s class="text-ink-soft">{{ line.from }}</s> {{ line.to }}
          </li>
          <li v-if="waiting.preview.commission.length > MOST_LINES" class="text-ink-soft">
            and {{ waiting.preview.commission.length - MOST_LINES }} more
          </li>
        </ul>
      </template>
      <fieldset v-if="waiting.preview.workshop.length > 0" class="mt-4 rounded-xl bg-paper-deep px-4 py-3">
        <SwitchField v-model="withWorkshop">Take over its workshop too, for all commissions here</SwitchField>
        <ul class="mt-1 pl-6 text-[0.88rem] text-ink-soft">
          <li v-for="line in waiting.preview.workshop.slice(0, MOST_LINES)" :key="line.what">
            {{ line.what }}: {{ line.from }} → {{ line.to }}
          </li>
          <li v-if="waiting.preview.workshop.length > MOST_LINES">
            and {{ waiting.preview.workshop.length - MOST_LINES }} more
          </li>
        </ul>
      </fieldset>
    </template>
    <p v-else-if="removing">
      It goes from this browser with its history. Save it to a file first if you may want it again.
    </p>
    <template v-if="!refused" #actions>
      <template v-if="waiting">
        <button type="button" class="button" @click="close">Leave it</button>
        <button type="button" class="button button-go" data-testid="take-file" @click="take">
          {{ waiting.preview.isNew ? 'Add it' : 'Change it' }}
        </button>
      </template>
      <template v-else-if="removing">
        <button type="button" class="button" @click="close">Keep it</button
        ><button type="button" class="button bg-stop-soft" @click="remove">Remove</button>
      </template>
    </template>
  </SheetDialog>
</template>
