import { useFrame, useThree } from "@react-three/fiber";
import { EffectComposer, N8AO, SMAA, ToneMapping } from "@react-three/postprocessing";
import { type EffectComposer as Composer, type Pass, ToneMappingMode } from "postprocessing";
import { useEffect, useRef } from "react";
import { Vector2 } from "three";
import { type Effort, effortOf, isLight, judge, useEffort } from "../../store/effort";
import { useSheet } from "../../store/sheet";
import { onArrival } from "../surface/drawAgain";
import { brightness, exposed, WANTED_LIT } from "./exposure";
import { spare } from "./spare";
import { useRest } from "./useRest";

/** Contact shades so far, metres. */
const NEAR = 0.5;

/** So many dots are drawn for one where that may cost much; else edges are smoothed afterwards. */
const SMOOTH = 4;

/** Dots of a picture for one of the screen, each way, while it moves and may cost little. */
const COARSE = 0.5;

/** Every so many plain frames one is waited for, to know how long it takes. */
const PROBED = 3;

const NOTHING = () => undefined as void;

/** What makes a picture finer: contact darkening, and smooth edges. */
function Passes({ composer, contact, effort }: PassesProps) {
  const rich = effort === "full";
  return (
    <EffectComposer ref={composer} enabled={false} multisampling={rich ? SMOOTH : 0}>
      <N8AO
        ref={contact as never}
        aoRadius={NEAR}
        distanceFalloff={0.6}
        intensity={rich ? 2.6 : 2.2}
        aoSamples={rich ? 16 : 8}
        denoiseSamples={rich ? 8 : 4}
        halfRes={!rich}
        color="#2A2119"
      />
      <ToneMapping mode={ToneMappingMode.NEUTRAL} />
      {rich ? <></> : <SMAA />}
    </EffectComposer>
  );
}

interface PassesProps {
  composer: React.RefObject<Composer | null>;
  contact: React.RefObject<Pass | null>;
  effort: Effort;
}

/**
 * Draws: plainly while one moves, finer as soon as the picture rests, with an exposure that fits. How long a
 * plain frame takes says what the machine can do.
 */
export function Refine() {
  const { gl, invalidate, camera, scene } = useThree();
  const effort = useEffort(effortOf);
  const stops = useEffort((s) => s.stops);
  const lit = useSheet((s) => s.lit);
  const composer = useRef<Composer>(null);
  const contact = useRef<Pass>(null);
  const found = useRef(1);
  const { fine, rest, pressed } = useRest(effort !== "plain");
  useEffect(() => onArrival(invalidate), [invalidate]);
  useEffect(() => {
    gl.toneMappingExposure = found.current * 2 ** stops;
    invalidate();
  }, [gl, stops, effort, invalidate]);

  const seen = useRef("");
  const light = useRef<unknown>(undefined);
  const whole = useRef(NOTHING);
  const count = useRef(0);
  useFrame((_, seconds) => {
    const view = camera.matrixWorld.elements.join() + camera.projectionMatrix.elements.join();
    const moves = view !== seen.current && seen.current !== "";
    if (view !== seen.current || light.current !== scene.userData.light) fine.current = false;
    light.current = scene.userData.light;
    seen.current = view;
    whole.current();
    const coarse = effort === "light" && !fine.current && (moves || pressed.current);
    sharp(gl, coarse ? COARSE : Math.min(2, devicePixelRatio));
    whole.current = isLight(effort) && moves ? spare(scene, camera.position) : NOTHING;
    const probes = !fine.current && count.current++ % PROBED === 0;
    if (probes) wait(gl.getContext());
    const from = performance.now();
    const { current: passes } = composer;
    if (passes) {
      if (contact.current) contact.current.enabled = fine.current;
      if (effort !== "full") smoothes(passes, fine.current);
      fit(passes, gl);
      passes.render(seconds);
    } else {
      gl.autoClear = true;
      gl.render(scene, camera);
    }
    if (probes) {
      wait(gl.getContext());
      measured(gl.domElement, (performance.now() - from) / 1000);
    }
    if (fine.current) {
      gl.domElement.dataset.refined = "yes";
      fine.current = false; // what changes next is drawn plainly first
      return;
    }
    const plain = effort === "plain";
    const next = plain
      ? found.current
      : exposed(found.current, brightness(gl.domElement), lit ? WANTED_LIT : undefined);
    if (next !== found.current) {
      found.current = next;
      gl.toneMappingExposure = next * 2 ** useEffort.getState().stops;
      invalidate();
    }
    rest();
  }, 1);
  return effort === "plain" ? null : <Passes composer={composer} contact={contact} effort={effort} />;
}

/** Whether the last of the passes, which smooths edges, is drawn; else the one before it is. */
function smoothes({ passes }: Composer, so: boolean) {
  const [before, last] = passes.slice(-2);
  last.enabled = so;
  before.renderToScreen = !so;
}

/** How many dots of the picture there are for one of the screen, each way. */
function sharp(gl: { getPixelRatio: () => number; setPixelRatio: (r: number) => void }, ratio: number) {
  if (gl.getPixelRatio() !== ratio) gl.setPixelRatio(ratio);
}

const size = new Vector2();
const before = new Vector2();

/** The passes are as large as the picture. */
function fit(passes: Composer, gl: { getSize: (v: Vector2) => Vector2; getPixelRatio: () => number }) {
  gl.getSize(size);
  const ratio = gl.getPixelRatio();
  before.set(passes.inputBuffer.width / ratio, passes.inputBuffer.height / ratio).round();
  if (!before.equals(size)) passes.setSize(size.x, size.y);
}

/** Frames that were waited for, seconds. */
let times: number[] = [];

/** Judges the machine by frames that were waited for. */
function measured(canvas: HTMLCanvasElement, seconds: number) {
  times.push(seconds);
  if (times.length < 3) return;
  const middle = times.sort((a, b) => a - b)[1];
  times = [];
  canvas.dataset.frame = middle.toFixed(3);
  judge(middle);
}

/** Until all that was asked of it is drawn. */
function wait(gl: WebGLRenderingContext | WebGL2RenderingContext) {
  gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
}
