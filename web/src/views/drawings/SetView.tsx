import type { Pointer } from "../../store/lastPoint";
import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { Canvas } from "@react-three/fiber";
import { useCallback, useEffect, useRef, type PointerEvent } from "react";
import {
  type Camera,
  type Group,
  type InstancedMesh,
  PCFShadowMap,
  type PerspectiveCamera,
  Raycaster,
  Vector2,
  Vector3,
} from "three";
import type { Vec } from "../../api/types.gen";
import { dropCarry, pickUp, pointCarry, putDownCarry, useCarry } from "../../tools/carry/carry";
import { aimAt, aimOver, clicked, type Pointed } from "../../tools/aim/aims";
import { clickFor, takesClicks } from "../../tools/propose/proposal";
import { useHandling } from "../../store/handling";
import { SetHandles } from "../handling/SetHandles";
import { pick } from "../../store/selecting";
import { lookAtIt } from "../../tools/verbs/verbs";
import { BandFigure } from "./BandFigure";
import { draw, dropBand, takeBand, useBand } from "../../tools/select/band";
import { twice } from "../../store/twice";
import { lookAt, lookAtPlan, nearest } from "../../tools/carry/facing";
import { useSheet } from "../../store/sheet";
import { DrawingTitle } from "./DrawingTitle";
import { Lights } from "./Lights";
import { Looking } from "./Looking";
import { Pieces } from "./Pieces";
import { SelectionMarks } from "./SelectionMarks";
import { ShellModel } from "./ShellModel";
import { pointsAt } from "../../store/lastPoint";
import { isOneOfSeveral, isPicked } from "../paper/picking";
import { HOLD } from "../paper/usePress";
import { OUTSIDE } from "../../store/angles";
import { type Stage, View, viewOf } from "./View";

/** A press: where, and where on a selected piece it took hold, if it did. */
interface Press {
  x: number;
  y: number;
  hold: Vec | null;
  carries: boolean;
  /** It draws a figure round pieces. */
  bands: boolean;
}

/** Whether pressing and moving now draws a figure round pieces. */
const bandsNow = (e: PointerEvent) =>
  (e.shiftKey || useBand.getState().armed !== null) && (e.target as Element).closest("canvas") !== null;

const yardstick = () => useHandling.getState().yardstick?.id;

/** The set view: the card model in perspective. It draws only when something has changed. */
export function SetView({ small = false }: { small?: boolean }) {
  const { palette } = useTheme();
  const carrying = useCarry((s) => s.hand !== null);
  const over = useSheet((s) => s.hover !== null && s.selection.includes(s.hover));
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const pieces = useRef<Group>(null);
  const shell = useRef<Group>(null);
  const press = useRef<Press | null>(null);

  /** Where a point of the window is in the picture, from -1 to 1, to the right and up. */
  const inPicture = ([x, y]: [number, number]) => {
    const box = frame.current!.getBoundingClientRect();
    return { x: ((x - box.left) / box.width) * 2 - 1, y: 1 - ((y - box.top) / box.height) * 2 };
  };
  const aim = (e: { clientX: number; clientY: number }) => {
    const caster = new Raycaster();
    const { x, y } = inPicture([e.clientX, e.clientY]);
    caster.setFromCamera(new Vector2(x, y), stage.current!.camera);
    return caster;
  };
  /** How large a pixel is at a point, metres. */
  const pixel = (eye: Vector3, at?: Vector3) => {
    const camera = stage.current!.camera as PerspectiveCamera;
    const away = at ? eye.distanceTo(at) : 6;
    return (2 * away * Math.tan((camera.fov * Math.PI) / 360)) / frame.current!.clientHeight;
  };
  const where = (e: { clientX: number; clientY: number }): Pointer => {
    const { mark } = useCarry.getState().answer ?? { mark: null };
    return pointed(e, mark ? new Vector3(mark.x, mark.y, mark.z) : undefined);
  };
  const pointed = (e: { clientX: number; clientY: number }, at?: Vector3): Pointed => {
    const { origin: o, direction: d } = aim(e).ray;
    const ray = { from: { x: o.x, y: o.y, z: o.z }, along: { x: d.x, y: d.y, z: d.z } };
    return { ray, near: HOLD * pixel(o, at) };
  };
  /** The piece under the pointer, or else the part of the shell. */
  const under = (e: {
    clientX: number;
    clientY: number;
  }): { piece: string | null; part: string | null; point?: Vector3 } => {
    const caster = aim(e);
    const met = pieces.current ? caster.intersectObject(pieces.current, true) : [];
    const first = met.find(
      (m) =>
        m.instanceId !== undefined &&
        ((m.object as InstancedMesh).userData.pieces as string[] | undefined)?.[m.instanceId] !== yardstick(),
    );
    const walls = (shell.current?.children ?? []).filter(
      (n) => n.visible && !n.userData.faint && n.name.includes(":"),
    );
    const wall = caster.intersectObjects(walls, true)[0];
    if (first && !(wall && wall.distance < first.distance)) {
      const piece = (first.object.userData.pieces as string[])[first.instanceId!];
      return { piece, part: null, point: first.point };
    }
    const part = wall?.object.parent?.name ?? null;
    return { piece: null, part: part?.startsWith("skirting:") ? part.replace("skirting:", "wall:") : part };
  };

  /** Takes hold of a selected piece, so that moving on carries it instead of turning the view. */
  const down = (e: PointerEvent) => {
    press.current = { x: e.clientX, y: e.clientY, hold: null, carries: false, bands: false };
    if (stage.current && !carrying && e.button === 0 && bandsNow(e)) {
      press.current.bands = true;
      if (stage.current.controls) stage.current.controls.enabled = false;
      frame.current!.setPointerCapture(e.pointerId);
      return;
    }
    if (!stage.current || carrying || e.button !== 0 || useSheet.getState().aiming) return;
    if (useHandling.getState().at) return; // what is sized or turned is not moved
    if (!(e.target as Element).closest("canvas")) return;
    const met = under(e);
    if (!isPicked(met.piece, e)) return;
    const { x, y, z } = met.point!;
    press.current.hold = { x, y, z };
    if (stage.current.controls) stage.current.controls.enabled = false;
    frame.current!.setPointerCapture(e.pointerId);
  };
  const move = (e: PointerEvent) => {
    if (!stage.current) return;
    pointsAt(where(e));
    const p = press.current;
    const moved = p !== null && Math.hypot(e.clientX - p.x, e.clientY - p.y) > 4;
    if (p?.bands) {
      if (moved) draw("set", [p.x, p.y], [e.clientX, e.clientY]);
      return;
    }
    if (p?.hold && moved && !p.carries) {
      p.carries = true;
      pickUp(p.hold);
    }
    if (p?.carries) {
      pointCarry(where(e), e.altKey);
    } else if (carrying && (e.buttons === 0 || (e.buttons === 1 && p === null))) {
      pointCarry(where(e), e.altKey); // with free hands, or dragged out of the catalog
    } else if (e.buttons === 0) {
      useSheet.getState().point(under(e).piece);
      if (useSheet.getState().aiming) aimOver(pointed(e));
    }
  };
  const leave = () => {
    press.current = null;
    if (stage.current?.controls) stage.current.controls.enabled = true;
  };
  const up = (e: PointerEvent) => {
    const from = press.current;
    leave();
    if (!stage.current || e.button !== 0) return;
    if (from?.bands && useBand.getState().at === "set") {
      takeBand(e.ctrlKey || e.metaKey, inPicture, { view: viewed() });
      return;
    }
    const still = from !== null && Math.hypot(e.clientX - from.x, e.clientY - from.y) <= 4;
    if (still && !useSheet.getState().aiming && twice(e) && (carrying || under(e).piece)) {
      lookAtIt();
      return;
    }
    if (carrying) {
      // a click, or the end of a drag; not the end of turning the view
      if (still || from === null || from.carries) {
        pointCarry(where(e), e.altKey);
        void putDownCarry(e.shiftKey);
      }
      return;
    }
    if (!still) return;
    const met = under(e);
    if (from.hold && met.piece && isOneOfSeveral(met.piece)) {
      pick(met.piece, e);
      return;
    }
    if (from.hold) {
      pickUp(from.hold);
      return;
    }
    if (useSheet.getState().aiming) void aimAt(met, pointed(e, met.point));
    else if (takesClicks()) clickFor(clicked(met, pointed(e, met.point)));
    else if (met.part) useSheet.getState().selectPart(met.part);
    else pick(met.piece, e);
  };
  /** How the space is seen: columns of the matrix from metres to the picture. */
  const viewed = () => viewOf(stage.current!.camera).toArray();
  const facing = () => {
    const m = stage.current!.camera.matrixWorld.elements;
    return { right: nearest({ x: m[0], z: m[2] }), upright: false };
  };
  useEffect(() => lookAtPlan, []);
  const ready = useCallback((camera: Camera, controls: Stage["controls"]) => {
    stage.current = { camera, controls };
  }, []);

  const canvas = (
    <Canvas
      frameloop="demand"
      flat
      shadows={small ? false : { type: PCFShadowMap }}
      dpr={small ? 1 : [1, 2]}
      camera={{ fov: OUTSIDE, near: 0.05, far: 300, position: [10, 8, 14] }}
      style={{ background: palette.background.default }}
    >
      <View onReady={ready} small={small} />
      <Lights />
      <group ref={shell}>
        <ShellModel small={small} />
      </group>
      <group ref={pieces}>
        <Pieces />
      </group>
      {!small && <SelectionMarks />}
      {!small && <SetHandles />}
    </Canvas>
  );
  if (small) return canvas;
  return (
    <Box
      ref={frame}
      data-testid="set"
      data-drawing="set"
      aria-label="Set view"
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        position: "relative",
        overflow: "hidden",
        cursor: carrying ? "grabbing" : over ? "grab" : "default",
      }}
      onPointerEnter={() => stage.current && lookAt(facing)}
      onPointerDownCapture={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        if (press.current?.carries) dropCarry();
        dropBand();
        leave();
      }}
      onPointerLeave={() => useSheet.getState().point(null)}
    >
      <DrawingTitle name="set">
        <Looking />
      </DrawingTitle>
      {canvas}
      <BandFigure drawing="set" />
    </Box>
  );
}
