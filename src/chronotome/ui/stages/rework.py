"""The tray of Rework: the tracks, how they sound together, and which ones are locked."""

from PySide6.QtWidgets import QLineEdit

from chronotome.session.edits.tracks import rename, set_level
from chronotome.session.model import Session
from chronotome.ui.actions import Actions
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.desk import Desk
from chronotome.ui.figures import decibels
from chronotome.ui.stages.tray import Tray
from chronotome.ui.view_state import Stage


class ReworkTray(Tray):
    def __init__(self, desk: Desk, actions: Actions) -> None:
        super().__init__(desk, actions, Stage.REWORK, "tracks")
        self.add_label("Name")
        self.name = QLineEdit()
        self.name.setAccessibleName("Name of the track")
        self.name.editingFinished.connect(self._on_name)
        self.add(self.name)
        self.level = ValueSlider(desk.view, "Loudness", -60, 12, decibels, step=0.5, usual=0)
        self.add(self.level)
        self.bind(self.level, self._set_level, "Set level")
        self.add_buttons("mute", "solo")
        self.add_rule()
        self.add_label("Locked tracks", "heading")
        self.locked = self.add_label("")
        self.add_buttons("lock")
        self.unlock, self.guide = self.add_buttons("unlock", "make-guide")
        self.add_label("Tracks that are locked move by the amounts of their guide.")
        self.add_rule()
        self.add_buttons("remove-track")
        self.finish()
        desk.view.focus_changed.connect(self._show)
        desk.store.changed.connect(self._show)
        self._show()

    def _set_level(self, session: Session, value: float) -> Session:
        track = self.desk.view.focused
        return session if track is None else set_level(session, track.id, value)

    def _on_name(self) -> None:
        track, name = self.desk.view.focused, self.name.text()
        if track is not None and name != track.name:
            self.desk.store.apply(lambda session: rename(session, track.id, name), "Rename track")
        self.name.clearFocus()

    def _show(self) -> None:
        track, session = self.desk.view.focused, self.desk.session
        self.setEnabled(track is not None)
        if track is None:
            return
        if not self.name.hasFocus():
            self.name.setText(track.name)
        self.level.set_value(track.level)
        group = session.group_of(track.id)
        for button in (self.unlock, self.guide):
            button.setVisible(group is not None)
        if group is None:
            self.locked.setText(f"{track.name} moves by itself")
        else:
            names = [session.track(each).name for each in group.tracks]
            self.locked.setText(f"{', '.join(names)} · led by {session.track(group.guide).name}")
