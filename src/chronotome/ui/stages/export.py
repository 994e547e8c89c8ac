"""The tray of Export: what is written, where, and the proof of it."""

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QFileDialog, QPushButton

from chronotome.dsp.loudness import SILENT
from chronotome.files.audio_out import ENCODINGS, Encoding, Written
from chronotome.files.export import export_mix
from chronotome.progress import Progress, part_of
from chronotome.render.mix import Side
from chronotome.render.plan import Plan, plan_for
from chronotome.render.proof import Proof, proof_of
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.model import Session
from chronotome.ui.actions import Actions
from chronotome.ui.controls.figures import counted, plain
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.desk import Desk
from chronotome.ui.stages.tray import Tray
from chronotome.ui.view_state import Stage
from chronotome.units import decibels_of

CHOICES = (("WAV", ("wav16", "wav24", "wavfloat")), ("FLAC", ("flac16", "flac24")))
DEPTHS = ("16 bit", "24 bit", "float")
SIDES = (Side.EDITED, Side.AS_PLAYED)


class ExportTray(Tray):
    exported = Signal(object, object)
    """(Written, Proof)"""

    def __init__(self, desk: Desk, actions: Actions) -> None:
        super().__init__(desk, actions, Stage.EXPORT, "as it is heard")
        view = desk.view
        self.add_label("Kind of file")
        self.kind = Segmented(view, "Kind of file", [words for words, _ in CHOICES])
        self.precision = Segmented(view, "Depth", DEPTHS)
        self.precision.set_index(1)
        self.kind.chosen.connect(self._on_kind)
        self.add(self.kind)
        self.add(self.precision)
        self.add_label("What")
        self.side = Segmented(view, "What", ["Edited", "As played"])
        self.span = Segmented(view, "Span", ["All of it", "The loop"])
        self.add(self.side)
        self.add(self.span)
        self.write = QPushButton("Export…")
        self.write.setObjectName("main")
        actions.attach(self.write, "export")
        self.add(self.write)
        self.add_label("Mute and solo count. The click is never written.")
        self.add_rule()
        self.add_label("Proof", "heading")
        self.proof = self.add_label("Nothing was written yet. Export checks joins, peak and loudness.")
        self.finish()
        desk.store.changed.connect(self._show)
        self._show()

    @property
    def encoding(self) -> Encoding:
        names = CHOICES[self.kind.index][1]
        return ENCODINGS[names[min(self.precision.index, len(names) - 1)]]

    def _on_kind(self, _index: int) -> None:
        if self.kind.index == 1 and self.precision.index == 2:
            self.precision.set_index(1)

    def _show(self) -> None:
        session = self.desk.session
        self.write.setEnabled(bool(session.tracks))
        self.span.setEnabled(session.loop is not None)
        if session.loop is None:
            self.span.set_index(0)

    def ask_and_export(self) -> None:
        """Ask where, then write."""
        encoding = self.encoding
        if encoding.suffix == ".flac" and self.precision.index == 2:
            self.desk.say("FLAC holds whole numbers: 24 bit is written.")
        folder = self.desk.document.folder or Path.home()
        usual = str(folder / f"{self.desk.document.title}{encoding.suffix}")
        name, _ = QFileDialog.getSaveFileName(self, "Export", usual, f"{encoding.words} (*{encoding.suffix})")
        if name:
            self.export(Path(name).with_suffix(encoding.suffix))

    def export(self, path: Path) -> None:
        """Write in the background; the proof follows."""
        session = self.desk.session
        side = SIDES[self.side.index]
        start, end = self._frames(session)
        work = self._work(session, path, self.encoding, side, (start, end))
        self.desk.tasks.run(f"Writing {path.name}", work, self._on_written)

    def _frames(self, session: Session) -> tuple[int, int | None]:
        if self.span.index == 0 or session.loop is None:
            return 0, None
        ends = (session.loop.start, session.loop.end)
        start, end = (max(0, round(session.frame_of(beat))) for beat in ends)
        return start, end

    def _work(
        self, session: Session, path: Path, encoding: Encoding, side: Side, span: tuple[int, int | None]
    ) -> Callable[[Progress], tuple[Written, Proof]]:
        sources = self.desk.recordings.pool.ready()
        arena, places = self.desk.recordings.arena, list(self.desk.recordings.places.values())

        def work(progress: Progress) -> tuple[Written, Proof]:
            plan = without_click(plan_for(session))
            renderer = Renderer(arena)
            try:
                mix = OfflineMix(render_mix(renderer, plan, sources, part_of(progress, 0, 0.5)), arena)
                written = export_mix(
                    mix,
                    path,
                    rate=session.rate,
                    encoding=encoding,
                    start=span[0],
                    end=span[1],
                    side=side,
                    sources=places,
                    progress=part_of(progress, 0.5, 0.8),
                )
                return written, proof_of(mix, plan, part_of(progress, 0.8, 1.0))
            finally:
                renderer.cache.clear()

        return work

    def _on_written(self, result: tuple[Written, Proof]) -> None:
        written, proof = result
        clicks = counted(proof.clicks, "click") if proof.clicks else "no clicks"
        lines = [
            f"“{written.path.name}”",
            f"{counted(len(proof.joins), 'join')}, {clicks}",
            f"peak {plain(decibels_of(written.peak))} dB",
        ]
        if proof.loudness > SILENT:
            lines.append(f"loudness {plain(proof.loudness)} LUFS")
        if written.clipped:
            over = counted(written.clipped, "sample")
            lines.append(f"{over} over full scale: lower a level, or write float")
        self.proof.setText("\n".join(lines))
        self.exported.emit(written, proof)


def without_click(plan: Plan) -> Plan:
    return Plan(plan.rate, plan.frames, plan.tracks)
