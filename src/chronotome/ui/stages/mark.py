"""The tray of Mark: what counts as a hit."""

from collections.abc import Callable

import numpy as np
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QPushButton

from chronotome.dsp.bands import Band, Instrument
from chronotome.session.counting import inside_of
from chronotome.session.edits.marks import choose_material, set_sift, set_threshold
from chronotome.session.model import Recording, Session, replace
from chronotome.session.onset_filter import USUAL_SPACING, USUAL_THRESHOLD, Near, OnsetFilter, Per
from chronotome.session.onsets import OnsetDecision
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.field import Field
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.typed import number_in
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.onset_table import OnsetTable
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import MarkSnap, Stage
from chronotome.ui.timeline.lens import Lens
from chronotome.words import tr

LEAST_PARTS, MOST_PARTS = 2, 999
INSTRUMENTS = (None, *Instrument)
"""None: as it is heard."""
PER_WORDS = {
    tr("all onsets"): OnsetFilter(),
    tr("strongest per bar"): OnsetFilter(strongest_per=Per.BAR),
    tr("strongest per beat"): OnsetFilter(strongest_per=Per.BEAT),
    tr("strongest per ¼ s"): OnsetFilter(strongest_per=Per.SECONDS, seconds=0.25),
    tr("strongest per ½ s"): OnsetFilter(strongest_per=Per.SECONDS, seconds=0.5),
    tr("strongest per 1 s"): OnsetFilter(strongest_per=Per.SECONDS, seconds=1.0),
    tr("strongest per 2 s"): OnsetFilter(strongest_per=Per.SECONDS, seconds=2.0),
}
NEAR_WORDS = {
    tr("anywhere"): Near.ANYWHERE,
    tr("near the grid"): Near.NEAR,
    tr("off the grid"): Near.FAR,
}
GRID_WORDS = {
    tr("every bar"): 0.0,
    tr("every beat"): 1.0,
    tr("1/2 beat"): 0.5,
    tr("1/4 beat"): 0.25,
    tr("1/8 beat"): 0.125,
    tr("1/16 beat"): 0.0625,
    tr("1/32 beat"): 0.03125,
}
PARTS_WORDS = tr("equal parts")


class MarkTray(Tray):
    def __init__(self, desk: UiContext, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions, Stage.MARK, tr("detects hits, moves nothing"))
        self._commands = commands
        self.material = self.combo(
            tr("Instrument"), [tr("detected"), *(each.label for each in Instrument)], self._choose_material
        )
        self.threshold = ValueSlider(
            desk.view, tr("Threshold"), 0, 100, lambda value: f"{value:.0f}", step=1, usual=USUAL_THRESHOLD
        )
        self.spacing = ValueSlider(
            desk.view,
            tr("Spacing"),
            0,
            120,
            lambda value: tr("{0:.0f} ms", value),
            step=1,
            usual=USUAL_SPACING,
        )
        both = QHBoxLayout()
        both.setSpacing(14)
        for slider, edit, label in (
            (self.threshold, self._set_threshold, tr("Set threshold")),
            (self.spacing, self._set_spacing, tr("Set spacing")),
        ):
            both.addWidget(slider)
            self.bind(slider, edit, label, is_sifting=True)
        self.rows.addLayout(both)
        with self.folded(tr("More filters")) as self.sift_fold:
            self.bands = self._band_row()
            self.per = self.combo(tr("Density"), list(PER_WORDS), self._set_per)
            self.near = self.combo(tr("Position"), list(NEAR_WORDS), self._set_near)
        self.counts = self.add_label("", "figure")
        self.lens = Lens(desk)
        self.add(self.lens)
        self.snap = Segmented(desk.view, tr("Onsets snap to"), [tr("attack"), tr("crossing"), tr("none")])
        self.snap.chosen.connect(lambda index: desk.view.set_mark_snap(MarkSnap(index)))
        self.row(tr("Snap to")).addWidget(self.snap, 1)
        self._short_buttons({"add-onset": tr("Add onset"), "hear-onset": tr("Play"), "lock-onset": tr("Pin")})
        self._short_buttons({"keep-onset": tr("Keep"), "drop-onset": tr("Delete"), "pull-onset": tr("Snap")})
        self.onset_table = OnsetTable(desk)
        self.rows.addWidget(self.onset_table, 1)
        with self.folded(tr("Onsets at equal steps")):
            self._grid_row()
            self._short_buttons({"find-hits": tr("Detect onsets"), "as-found": tr("Reset onsets")})
        for signal in (desk.view.chosen.focus_changed, desk.view.chosen.changed, desk.view.snap_changed):
            signal.connect(self._show)
        self._soon = Debounce(self._show, self)
        desk.store.changed.connect(self._soon.ask)
        self._show()

    # Building

    def _band_row(self) -> list[QPushButton]:
        row, buttons = self.row(tr("Bands")), []
        for band, sign in zip(Band, "■●▲", strict=True):
            button = QPushButton(f"{sign} {tr(band.name.lower())}")
            button.setObjectName("band")
            button.setCheckable(True)
            button.setAccessibleName(tr("Onsets of the {0} band", tr(band.name.lower())))
            button.clicked.connect(self._set_bands)
            row.addWidget(button, 1)
            buttons.append(button)
        return buttons

    def _grid_row(self) -> None:
        row = self.row(tr("Divide into"))
        self.grid = QComboBox()
        self.grid.addItems([*GRID_WORDS, PARTS_WORDS])
        self.grid.setAccessibleName(tr("Divide into equal steps"))
        self.parts = Field(tr("Number of equal parts"), is_number=True)
        self.parts.setObjectName("figure")
        self.parts.setFixedWidth(44)
        self.parts.show_text("16")
        self.parts.kept.connect(self._on_parts)
        self.parts.hide()
        self.grid.currentTextChanged.connect(lambda words: self.parts.setVisible(words == PARTS_WORDS))
        button = QPushButton(tr("Divide"))
        button.setToolTip(tr("Replace onsets with onsets at equal steps. Reset onsets restores them."))
        button.clicked.connect(self._mark_grid)
        self.mark_grid = button
        row.addWidget(self.grid, 1)
        row.addWidget(self.parts)
        row.addWidget(button)

    def _on_parts(self, text: str) -> None:
        number = number_in(text)
        if number is not None:
            self.parts.show_text(str(round(min(MOST_PARTS, max(LEAST_PARTS, number)))))

    # Editing

    @property
    def _recording(self) -> Recording | None:
        track = self.desk.view.chosen.focused
        take = None if track is None else track.first_take
        return None if take is None else self.desk.session.recording_of(take)

    def _set_threshold(self, session: Session, value: float) -> Session:
        recording = self._recording
        return session if recording is None else set_threshold(session, recording.content, value)

    def _set_spacing(self, session: Session, value: float) -> Session:
        return self._sifted(session, lambda sift: replace(sift, least_spacing=value))

    def _sifted(self, session: Session, change: Callable[[OnsetFilter], OnsetFilter]) -> Session:
        recording = self._recording
        return session if recording is None else set_sift(session, recording.content, change)

    def _change_sift(self, change: Callable[[OnsetFilter], OnsetFilter], words: str) -> None:
        self.desk.store.apply(lambda session: self._sifted(session, change), words)

    def _set_bands(self) -> None:
        chosen = tuple(band for band, button in zip(Band, self.bands, strict=True) if button.isChecked())
        self._change_sift(lambda sift: replace(sift, bands=chosen), tr("Filter bands"))

    def _set_per(self, index: int) -> None:
        wanted = list(PER_WORDS.values())[index]
        self._change_sift(
            lambda sift: replace(sift, strongest_per=wanted.strongest_per, seconds=wanted.seconds),
            tr("Limit onset density"),
        )

    def _set_near(self, index: int) -> None:
        grid = self.desk.view.recipe.grid
        near = list(NEAR_WORDS.values())[index]
        self._change_sift(lambda sift: replace(sift, near=near, grid=grid), tr("Filter onsets by grid"))

    def _choose_material(self, index: int) -> None:
        recording = self._recording
        if recording is not None:
            material = INSTRUMENTS[index]
            self.desk.store.apply(
                lambda session: choose_material(session, recording.content, material), tr("Set material")
            )

    def _mark_grid(self) -> None:
        words = self.grid.currentText()
        if words == PARTS_WORDS:
            self._commands.marks.in_parts(int(self.parts.text()))
        else:
            self._commands.marks.on_grid(GRID_WORDS[words] * self.desk.session.metre.first.beat)

    # Showing

    def _show(self) -> None:
        shown = self.desk.shown
        self.snap.set_index(int(self.desk.view.mark_snap))
        if shown is None:
            self.counts.setText(tr("no recording"))
            return
        recording = shown.recording
        self._show_material(recording)
        self._show_sift(recording.sift)
        self.threshold.set_value(recording.threshold)
        hits = int(np.count_nonzero(shown.counts))
        candidates = int(np.count_nonzero(inside_of(self.desk.session, shown.take)))
        by_hand = int(np.count_nonzero(recording.onsets.standing_array != OnsetDecision.BY_STRENGTH))
        checks = len(self.desk.mark_checks(shown.track, shown.take))
        more = tr("{0} to check", checks) if checks else tr("{0} set by hand", by_hand)
        self.counts.setText(tr("{0} · {1} hidden · {2}", counted(hits, "onset"), candidates - hits, more))

    def _show_sift(self, sift: OnsetFilter) -> None:
        self.spacing.set_value(sift.least_spacing)
        for band, button in zip(Band, self.bands, strict=True):
            button.setChecked(band in sift.bands)
        seconds = sift.seconds if sift.strongest_per is Per.SECONDS else OnsetFilter().seconds
        kinds = [(each.strongest_per, each.seconds) for each in PER_WORDS.values()]
        wanted = (sift.strongest_per, seconds)
        self.per.setCurrentIndex(kinds.index(wanted) if wanted in kinds else -1)
        self.near.setCurrentIndex(list(NEAR_WORDS.values()).index(sift.near))

    def _show_material(self, recording: Recording) -> None:
        heard = recording.material.label
        if not recording.is_analysed:
            heard = "…"
        self.material.setItemText(
            0, tr("detected") if recording.is_material_chosen else tr("auto: {0}", heard)
        )
        chosen = recording.material if recording.is_material_chosen else None
        self.material.setCurrentIndex(INSTRUMENTS.index(chosen))
