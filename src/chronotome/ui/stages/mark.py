"""The tray of Mark: what counts as a hit."""

import numpy as np
from PySide6.QtWidgets import QLabel

from chronotome.session.edits.marks import set_threshold
from chronotome.session.model import USUAL_THRESHOLD, Session
from chronotome.session.onsets import Standing
from chronotome.ui.actions import Actions
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.desk import Desk
from chronotome.ui.figures import clock, counted
from chronotome.ui.soon import Soon
from chronotome.ui.stages.tray import Tray
from chronotome.ui.view_state import Stage


class MarkTray(Tray):
    def __init__(self, desk: Desk, actions: Actions) -> None:
        super().__init__(desk, actions, Stage.MARK, "finds, and moves nothing")
        self.threshold = ValueSlider(
            desk.view, "Threshold", 0, 100, lambda value: f"{value:.0f}", step=1, usual=USUAL_THRESHOLD
        )
        self.add(self.threshold)
        self.bind(self.threshold, self._set, "Set threshold")
        self.counts = self.add_label("", "figure")
        self.add_rule()
        self.add_label("Selected onset", "heading")
        self.selected: QLabel = self.add_label("none: ← and → step through them")
        self.add_buttons("keep-onset", "drop-onset")
        self.add_rule()
        self.add_label("At the playhead", "heading")
        self.add_buttons("add-onset")
        self.add_label("Double-click the wave adds an onset there. Drag a notch to move it.")
        self.add_rule()
        self.add_buttons("find-hits")
        self.finish()
        desk.view.focus_changed.connect(self._show)
        desk.view.selection_changed.connect(self._show)
        self._soon = Soon(self._show, self)
        desk.store.changed.connect(self._soon.ask)
        self._show()

    def _set(self, session: Session, value: float) -> Session:
        track = self.desk.view.focused
        if track is None or not track.clips:
            return session
        return set_threshold(session, track.clips[0].recording, value)

    def _show(self) -> None:
        track = self.desk.view.focused
        if track is None or not track.clips:
            self.counts.setText("no recording")
            return
        recording = self.desk.session.recording_of(track.clips[0])
        onsets = recording.onsets
        hits = int(np.count_nonzero(onsets.counted(recording.threshold)))
        by_hand = int(np.count_nonzero(onsets.standing_array != Standing.BY_STRENGTH))
        self.threshold.set_value(recording.threshold)
        faint = len(onsets) - hits
        self.counts.setText(f"{counted(hits, 'onset')} · {faint} left out · {by_hand} by hand")
        place = None if self.desk.view.selected is None else onsets.place_of(self.desk.view.selected)
        if place is None:
            self.selected.setText("none: ← and → step through them")
            return
        words = ("low", "mid", "high")[onsets.bands[place]]
        seconds = clock(onsets.frames[place] / recording.rate)
        self.selected.setText(f"{seconds} · strength {onsets.strengths[place]:.0f} · {words}")
