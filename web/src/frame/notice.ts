import { ElMessage } from "element-plus";
import "element-plus/es/components/message/style/css";

const LONG_MS = 10_000;

/** Says something in passing, at the edge of the screen. */
export const notice = {
  done: (message: string) => ElMessage.success({ message, grouping: true, placement: "bottom" }),
  hint: (message: string) => ElMessage.info({ message, grouping: true, placement: "bottom" }),
  problem: (message: string) =>
    ElMessage.error({ message, duration: LONG_MS, showClose: true, placement: "bottom" }),
};
