"""The tray of Export: what is written, where, and the proof of it."""

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QFileDialog, QHBoxLayout

from chronotome.dsp.loudness import SILENT
from chronotome.files.audio_out import ENCODINGS, Encoding, WrittenFile
from chronotome.files.export import export_mix, export_stems, heard_end, without_click
from chronotome.files.finish import RATES, Aim, Finish
from chronotome.files.markers import markers_of
from chronotome.progress import Progress, part_of
from chronotome.render.join_report import JoinReport
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.model import Session
from chronotome.ui.actions.actions import Actions
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.figures import counted, percent, plain
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.units import decibels_of
from chronotome.words import tr

CHOICES = (
    ("WAV", ("wav16", "wav24", "wavfloat")),
    ("FLAC", ("flac16", "flac24")),
    ("OGG", ("ogg",)),
    (tr("Opus"), ("opus",)),
    ("MP3", ("mp3",)),
)
AIMS = (Aim.NOTHING, Aim.PEAK, Aim.LOUDNESS)
LEVELS = {Aim.NOTHING: 0.0, Aim.PEAK: -1.0, Aim.LOUDNESS: -14.0}
MOST_TAIL = 20.0
DEPTHS = (tr("16 bit"), tr("24 bit"), tr("float"))
SIDES = (Side.EDITED, Side.AS_PLAYED)


class ExportTray(Tray):
    exported = Signal(object)
    """What was written."""

    def __init__(self, desk: UiContext, actions: Actions) -> None:
        super().__init__(desk, actions, Stage.EXPORT, tr("as played back"))
        self._wants_loop = False
        self._left: float | None = None
        """The peak that somebody leaves as it is."""
        view = desk.view
        self.add_label(tr("File format"))
        self.kind = Segmented(view, tr("File format"), [words for words, _ in CHOICES])
        self.precision = Segmented(view, tr("Bit depth"), DEPTHS)
        self.precision.set_index(1)
        self.kind.chosen.connect(self._on_kind)
        self.precision.chosen.connect(self._on_kind)
        self.add(self.kind)
        self.add(self.precision)
        self.add_label(tr("Content"))
        self.side = Segmented(view, tr("Content"), [tr("Edited"), tr("As played")])
        self.side.chosen.connect(lambda _index: self._show())
        self.span = Segmented(view, tr("Range"), [tr("All"), tr("Loop")])
        self.span.chosen.connect(self._on_span)
        self.add(self.side)
        self.add(self.span)
        self._build_finish()
        self._build_over()
        self.write, self.stems = self.add_buttons("export", "export-stems")
        self.write.setObjectName("main")
        self.add_label(tr("Mute and solo apply. The metronome is never exported."))
        self.add_rule()
        self.add_label(tr("Joins"), "heading")
        self.proof = self.add_label("")
        self.written = self.add_label(tr("Nothing exported yet."))
        self.finish()
        self.follow_session(self._show)
        desk.proving.proved.connect(self._show_proof)
        desk.proving.progressed.connect(self._show_progress)
        self._show()

    def _build_finish(self) -> None:
        """What becomes of it on its way into the file; nothing, where nothing is asked for."""
        view = self.desk.view
        rates = [tr("same as session"), *(tr("{0:g} kHz", each / 1000) for each in RATES)]
        self.rate = Combo(tr("Sample rate of the file"), rates)
        self.rate.activated.connect(lambda _index: self._show())
        self.row(tr("Sample rate")).addWidget(self.rate, 1)
        self.aim = Segmented(view, tr("Level"), [aim.label for aim in AIMS])
        self.aim.chosen.connect(self._on_aim)
        self.row(tr("Level")).addWidget(self.aim, 1)
        self.level = ValueSlider(view, tr("Target level"), -36, 0, self._level_words, step=0.5, usual=-1.0)
        self.tail = ValueSlider(view, tr("Tail length"), 0, MOST_TAIL, _seconds, step=0.1, usual=0)
        self.tail.setToolTip(tr("Export this much of the tail after the loop"))
        self.beside(self.level, self.tail)
        self.dither = QCheckBox(tr("Dither"))
        self.dither.setChecked(True)
        self.dither.setToolTip(tr("Add noise to hide rounding to 16 bits"))
        self.closes = QCheckBox(tr("Wrap tail to loop start"))
        self.closes.toggled.connect(lambda _is_on: self._show())
        self.closes.setToolTip(tr("Add the tail after the loop end to the loop start"))
        self.marked = QCheckBox(tr("Include tempo and sections"))
        self.marked.setChecked(True)
        self.marked.setToolTip(tr("Write tempo and sections as cues, chapters and tags"))
        for box in (self.dither, self.closes, self.marked):
            self.add(box)

    def _build_over(self) -> None:
        """What would be cut off at full scale is told before it is written, with the ways out."""
        with self.section() as self.over:
            self.over_words = self.add_label("", "")
            self.over_words.setWordWrap(True)
            row = QHBoxLayout()
            row.setSpacing(6)
            self.lowered = plain_button("", self._lower, row)
            self.as_float = plain_button(tr("Float"), self._write_float, row)
            self.left = plain_button(tr("Keep level"), self._leave, row)
            self.rows.addLayout(row)

    def _lower(self) -> None:
        """The loudest sample comes to full scale."""
        self.aim.set_index(AIMS.index(Aim.PEAK))
        self.level.set_value(0.0)
        self._show()

    def _write_float(self) -> None:
        self.kind.set_index(0)
        self.precision.set_index(2)
        self._show()

    def _leave(self) -> None:
        proof = self.desk.proving.proof
        self._left = None if proof is None else proof.peak
        self._show()

    def _show_over(self, proof: JoinReport | None) -> None:
        is_over = (
            proof is not None
            and proof.peak > 1.0
            and proof.peak != self._left
            and self.encoding.is_bounded
            and AIMS[self.aim.index] is Aim.NOTHING
            and self.side.index == 0
        )
        self.over.setVisible(is_over)
        if is_over and proof is not None:
            decibels = plain(decibels_of(proof.peak))
            self.over_words.setText(
                tr("The mix clips: {0} dB over full scale. Lower it, or choose float.", decibels)
            )
            self.lowered.setText(tr("Lower by {0} dB", decibels))

    def _level_words(self, value: float) -> str:
        return f"{plain(value)} {'LUFS' if AIMS[self.aim.index] is Aim.LOUDNESS else 'dB'}"

    @property
    def encoding(self) -> Encoding:
        names = CHOICES[self.kind.index][1]
        return ENCODINGS[names[min(self.precision.index, len(names) - 1)]]

    @property
    def finish_wanted(self) -> Finish:
        rate = 0 if self.rate.currentIndex() <= 0 else RATES[self.rate.currentIndex() - 1]
        closes = self.closes.isChecked() and self.span.index == 1
        aim = AIMS[self.aim.index]
        tail = 0.0 if closes or self.span.index == 0 else self.tail.value
        return Finish(rate, aim, self.level.value, self.dither.isChecked(), closes, tail)

    def _on_kind(self, _index: int) -> None:
        if self.kind.index == 1 and self.precision.index == 2:
            self.precision.set_index(1)
        self._show()

    def _on_span(self, index: int) -> None:
        """What was chosen is remembered, also where the session has no loop for a while."""
        self._wants_loop = index == 1
        self._show()

    def _on_aim(self, index: int) -> None:
        """Each has a level that is usual for it."""
        self.level.set_value(LEVELS[AIMS[index]])
        self._show()

    def _show(self) -> None:
        session = self.desk.session
        self._show_proof(self.desk.proving.proof)
        for button in (self.write, self.stems):
            button.setEnabled(bool(session.tracks))
        is_loop = self.span.index == 1 and session.loop is not None
        self.precision.setEnabled(
            len(CHOICES[self.kind.index][1]) > 1
        )  # grey, so that buttons keep their place
        self.dither.setEnabled(self.encoding.subtype == "PCM_16")
        self.level.setEnabled(AIMS[self.aim.index] is not Aim.NOTHING)
        self.tail.setEnabled(is_loop and not self.closes.isChecked())
        self.closes.setEnabled(is_loop)
        self.span.setEnabled(session.loop is not None)
        self.span.set_index(int(self._wants_loop and session.loop is not None))

    def _show_about(self, proof: JoinReport | None) -> None:
        """What becomes of it on its way into the file, and how loud its loudest sample is."""
        session, wanted = self.desk.session, self.finish_wanted
        held = wanted.rate_for(self.encoding, session.rate)
        is_plain = wanted.aim is Aim.NOTHING and not (wanted.rate or wanted.closes or wanted.tail)
        words = tr("as played back") if is_plain else tr("with the settings below")
        if held != (wanted.rate or session.rate):
            words = tr("limited to {0:g} kHz", held / 1000)
        elif held != session.rate:
            words = tr("{0}, from the session’s {1:g} kHz", words, session.rate / 1000)
        if proof is not None and proof.peak > 0:
            words = tr("{0} · peak {1} dB", words, plain(decibels_of(proof.peak)))
        self.about.say(words)

    def ask_and_export(self) -> None:
        """Ask where, then write."""
        encoding = self.encoding
        if encoding.suffix == ".flac" and self.precision.index == 2:
            self.desk.say(tr("FLAC has no float format. 24 bit is used."))
        folder = self.desk.document.folder or Path.home()
        usual = str(folder / f"{self.desk.document.title}{encoding.suffix}")
        name, _ = QFileDialog.getSaveFileName(
            self, tr("Export"), usual, f"{encoding.words} (*{encoding.suffix})"
        )
        if name:
            self.export(Path(name).with_suffix(encoding.suffix))

    def ask_and_export_stems(self) -> None:
        """Each track as a file, in a new folder."""
        folder = self.desk.document.folder or Path.home()
        usual = str(folder / tr("{0} stems", self.desk.document.title))
        name, _ = QFileDialog.getSaveFileName(self, tr("New folder for the stems"), usual, tr("Folder"))
        if name:
            self.export_stems(Path(name))

    def export_stems(self, folder: Path) -> None:
        """Each track that sounds, all as long; together they are the mix."""
        session, sources = self.desk.session, self.desk.recordings.pool.ready()
        arena, encoding, finish = self.desk.recordings.arena, self.encoding, self.finish_wanted
        side, span, is_marked = SIDES[self.side.index], self._frames(session), self.marked.isChecked()

        def work(progress: Progress) -> list[WrittenFile]:
            return export_stems(
                session, sources, arena, folder, encoding, span, side, finish, progress, is_marked=is_marked
            )

        def show(written: list[WrittenFile]) -> None:
            self.desk.say(tr("Exported {0} to “{1}”", counted(len(written), "stem"), folder))
            over = sum(each.clipped for each in written)
            self.written.setText(_clipped_words(over) or f"“{folder.name}”\n{counted(len(written), 'stem')}")

        self.desk.tasks.run(tr("Writing {0}", folder.name), work, show)

    def export(self, path: Path) -> None:
        """Write in the background; the proof follows."""
        self.desk.tasks.run(tr("Writing {0}", path.name), self.writing(path), self._on_written)

    def writing(self, path: Path) -> Callable[[Progress], WrittenFile]:
        """What writes the session as it is now, as is chosen here; for a thread."""
        session = self.desk.session
        return self._work(session, path, self.encoding, SIDES[self.side.index], self._frames(session))

    def _frames(self, session: Session) -> tuple[int, int | None]:
        if self.span.index == 0 or session.loop is None:
            return 0, None
        ends = (session.loop.start, session.loop.end)
        start, end = (max(0, round(session.frame_of(beat))) for beat in ends)
        return start, end

    def _work(
        self, session: Session, path: Path, encoding: Encoding, side: Side, span: tuple[int, int | None]
    ) -> Callable[[Progress], WrittenFile]:
        sources, finish = self.desk.recordings.pool.ready(), self.finish_wanted
        is_marked = self.marked.isChecked()
        arena, places = self.desk.recordings.arena, list(self.desk.recordings.places.values())

        def work(progress: Progress) -> WrittenFile:
            plan = without_click(plan_for(session))
            renderer = Renderer(arena)
            try:
                mix = OfflineMix(render_mix(renderer, plan, sources, part_of(progress, 0, 0.5)), arena)
                end = heard_end(session, side) if span[1] is None else span[1]
                return export_mix(
                    mix,
                    path,
                    rate=session.rate,
                    encoding=encoding,
                    start=span[0],
                    end=end,
                    side=side,
                    finish=finish,
                    markers=markers_of(session, span[0], end, is_loop=finish.closes) if is_marked else None,
                    sources=places,
                    progress=part_of(progress, 0.5, 1.0),
                )
            finally:
                renderer.cache.clear()

        return work

    def _show_proof(self, proof: JoinReport | None) -> None:
        """What is heard now, as it would be written: joins, peak and loudness."""
        self._show_over(proof)
        self._show_about(proof)
        if proof is None:
            self.proof.setText(
                tr("Checking joins…")
                if self.desk.session.tracks
                else tr("Nothing to export. Open a recording.")
            )
            return
        clicks = tr("{0} (N: next)", counted(proof.clicks, "click")) if proof.clicks else tr("no clicks")
        lines = [
            f"{counted(len(proof.joins), 'join')}, {clicks}",
            tr("peak {0} dB", plain(decibels_of(proof.peak))),
        ]
        if proof.loudness > SILENT:
            lines.append(tr("loudness {0} LUFS", plain(proof.loudness)))
        self.proof.setText("\n".join(lines))

    def _show_progress(self, share: float) -> None:
        if self.desk.proving.proof is None:
            self.proof.setText(tr("Checking joins: {0}", percent(100 * share)))

    def _on_written(self, written: WrittenFile) -> None:
        over = _clipped_words(written.clipped)
        self.written.setText("\n".join(filter(None, [tr("Exported “{0}”", written.path.name), over])))
        self.exported.emit(written)


def _seconds(value: float) -> str:
    return tr("{0} s", plain(value))


def _clipped_words(over: int) -> str:
    return (
        ""
        if not over
        else tr("{0} over full scale. Lower a level, or export float.", counted(over, "sample"))
    )
