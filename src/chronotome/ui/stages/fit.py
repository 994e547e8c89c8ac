"""The tray of Fit: tempo and beat one."""

from chronotome.session.edits.timing import set_click
from chronotome.session.model import Session, replace
from chronotome.ui.actions import Actions
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.desk import Desk
from chronotome.ui.figures import clock, decibels, plain
from chronotome.ui.stages.tray import Tray
from chronotome.ui.view_state import Stage


class FitTray(Tray):
    def __init__(self, desk: Desk, actions: Actions) -> None:
        super().__init__(desk, actions, Stage.FIT, "the song takes the tempo")
        self.add_label("Measured in this recording", "heading")
        self.measured = self.add_label("", "figure")
        self.sure = self.add_label("")
        (self.use,) = self.add_buttons("use-measured")
        self.add_rule()
        self.add_label("Tempo of the song", "heading")
        self.song = self.add_label("", "bigfigure")
        self.add_buttons("halve", "double", "tap")
        self.add_label("Type another one at the top of the window.")
        self.add_rule()
        self.add_label("Beat one", "heading")
        self.one = self.add_label("", "figure")
        self.add_buttons("beat-one")
        self.add_label("At the selected onset, or at the one nearest to the playhead.")
        self.add_rule()
        self.add_label("Click", "heading")
        self.add_buttons("click")
        self.level = ValueSlider(desk.view, "Level of the click", -36, 6, decibels, step=1, usual=-12)
        self.add(self.level)
        self.bind(self.level, self._set_level, "Set click level")
        self.finish()
        desk.view.focus_changed.connect(self._show)
        desk.store.changed.connect(self._show)
        self._show()

    @staticmethod
    def _set_level(session: Session, level: float) -> Session:
        return set_click(session, replace(session.click, level=level))

    def _show(self) -> None:
        session, track = self.desk.session, self.desk.view.focused
        measured = session.recording_of(track.clips[0]).measured if track and track.clips else None
        self.use.setEnabled(measured is not None)
        if measured is None:
            self.measured.setText("nothing measured")
            self.sure.setText("")
        else:
            self.measured.setText(f"{plain(measured.beats_per_minute, 2)} bpm")
            kind = "constant" if measured.is_constant else "drifting"
            loop = f" · the file is {measured.loop_beats} beats" if measured.loop_beats else ""
            self.sure.setText(f"{kind} · sure {measured.confidence:.0%}{loop}")
        self.song.setText(f"{plain(session.tempo.beats_per_minute, 2)} bpm")
        where = clock(session.tempo.beat_one)
        self.one.setText(where if session.is_beat_one_set else f"{where} (not set)")
        self.level.set_value(session.click.level)
