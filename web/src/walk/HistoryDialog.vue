<script setup lang="ts">
import { ref, watch } from "vue";
import type { Schemas } from "../api/client";
import { sentence } from "../api/problems";
import { when } from "../frame/when";
import { gradeWord } from "../words/words";
import type { Line } from "../shown/lines";

const props = defineProps<{ line?: Line; history: (line: Line) => Promise<Schemas["ReadingView"][]> }>();
const open = defineModel<boolean>({ required: true });
const readings = ref<Schemas["ReadingView"][]>([]);
const problem = ref("");

watch(open, async (now) => {
  if (now && props.line) {
    readings.value = [];
    problem.value = "";
    try {
      readings.value = (await props.history(props.line)).reverse();
    } catch (thrown) {
      problem.value = sentence(thrown);
    }
  }
});
</script>

<template>
  <el-dialog v-model="open" :title="line?.title ?? ''" width="560px">
    <p class="error">{{ problem }}</p>
    <table class="table">
      <thead>
        <tr>
          <th>{{ $gettext("Reading") }}</th>
          <th>{{ $gettext("Grade") }}</th>
          <th>{{ $gettext("By") }}</th>
          <th>{{ $gettext("When") }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="reading in readings" :key="reading.id">
          <td class="mono">
            <strong v-if="reading.id === line?.reading?.id">{{ reading.said }}</strong>
            <span v-else-if="reading.says === 'TAKEN_BACK'">{{ reading.said }}</span>
            <s v-else>{{ reading.said }}</s>
          </td>
          <td>{{ gradeWord(reading.grade) }}</td>
          <td>{{ reading.by }}</td>
          <td>{{ when(reading.at) }}</td>
        </tr>
      </tbody>
    </table>
  </el-dialog>
</template>
