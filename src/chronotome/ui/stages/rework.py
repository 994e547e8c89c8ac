"""The tray of Rework: hits and their shape, clips, the tracks, and which ones are locked."""

from functools import partial

from chronotome.session.edits.clips import set_clip
from chronotome.session.edits.tracks import rename, set_level, set_pan
from chronotome.session.limits import LONGEST_NAME
from chronotome.session.model import Session
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.field import Field
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.hit_rows import HitRows
from chronotome.ui.stages.pattern_rows import PatternRows
from chronotome.ui.stages.roll_rows import RollRows, ScatterRows
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.figures import counted, decibels, milliseconds, sides
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

LONGEST_FADE = 2000
"""Milliseconds that the sliders reach; by hand in the wave a fade may be longer."""


class ReworkTray(Tray):
    def __init__(self, desk: UiContext, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions, Stage.REWORK, tr("hits, clips, tracks"))
        self.hits = HitRows(desk, actions, commands.slices)
        self.roll = RollRows(desk, actions, commands.slices)
        self.scatter = ScatterRows(desk, actions, commands.slices)
        self.pattern = PatternRows(desk, actions, commands.patterns)
        for rows in (self.hits, self.roll, self.scatter, self.pattern):
            self.add(rows)
        self.add_rule()
        with self.folded(tr("Clip")) as self.clip:
            self._build_clip()
        with self.folded(tr("Track")) as self.track:
            self._build_track()
        with self.folded(tr("Locked tracks")) as self.locking:
            self.locked = self.add_label("")
            self.add_buttons("lock")
            self.unlock, self.guide = self.add_buttons("unlock", "make-guide")
            self.add_label(tr("Locked tracks move together. The guide sets the amounts."))
        self.add_buttons("add-track", "remove-track")
        self.finish()
        self._is_whole = False
        desk.view.chosen.focus_changed.connect(self._show)
        desk.view.chosen.changed.connect(self._show)
        desk.view.rhythm_changed.connect(self._show)
        self.follow_session(self._show, at_once=False)
        self._show()

    def _build_clip(self) -> None:
        desk = self.desk
        self.clip_level = ValueSlider(desk.view, tr("Clip loudness"), -60, 12, decibels, step=0.5, usual=0)
        self.fade_in = ValueSlider(desk.view, tr("Fade in"), 0, LONGEST_FADE, milliseconds, step=5, usual=0)
        self.fade_out = ValueSlider(desk.view, tr("Fade out"), 0, LONGEST_FADE, milliseconds, step=5, usual=0)
        for slider, name, label, unit in (
            (self.clip_level, "level", tr("Set clip loudness"), 1.0),
            (self.fade_in, "fade_in", tr("Fade in clip"), 1000.0),
            (self.fade_out, "fade_out", tr("Fade out clip"), 1000.0),
        ):
            self.bind(slider, partial(self._set_clips, name=name, unit=unit), label)
        self.add(self.clip_level)
        self.beside(self.fade_in, self.fade_out)
        self.add_buttons("cut", "split-hits", "split-bars")
        self.add_buttons("join", "duplicate")
        self.add_buttons("mute-clip", "reverse-clip")
        self.full_band, self.bounced = self.add_buttons("all-bands", "bounce-back")

    def _build_track(self) -> None:
        self.name = Field(tr("Track name"))
        self.name.setMaxLength(LONGEST_NAME)
        self.name.kept.connect(self._on_name)
        self.add(self.name)
        self.level = ValueSlider(self.desk.view, tr("Level"), -60, 12, decibels, step=0.5, usual=0)
        self.bind(self.level, self._set_level, tr("Set level"))
        self.pan = ValueSlider(self.desk.view, tr("Pan"), -100, 100, sides, step=1, usual=0)
        self.bind(self.pan, self._set_pan, tr("Pan track"))
        self.beside(self.level, self.pan)
        self.add_buttons("mute", "solo", "flip")

    def _set_level(self, session: Session, value: float) -> Session:
        track = self.desk.view.chosen.focused
        return session if track is None else set_level(session, track.id, value)

    def _set_clips(self, session: Session, value: float, *, name: str, unit: float) -> Session:
        """Of all chosen clips, or of the one that is worked on."""
        view = self.desk.view
        places = view.chosen.clips
        if not places and view.chosen.focused is not None and view.chosen.clip is not None:
            places = ((view.chosen.focused.id, view.chosen.clip.id),)
        return set_clip(session, places, **{name: round(value / unit, 4)})

    def _show_clip(self) -> None:
        view, clip = self.desk.view, self.desk.view.chosen.clip
        chosen = len(view.chosen.clips)
        for slider in (self.clip_level, self.fade_in, self.fade_out):
            slider.setEnabled(clip is not None)
        if clip is None:
            self.clip.say(tr("No clip"))
            return
        track = view.chosen.focused
        number = 0 if track is None else [each.id for each in track.clips].index(clip.id) + 1
        of = 0 if track is None else len(track.clips)
        self.clip.say(
            counted(chosen, "clip") + tr(" selected") if chosen > 1 else tr("Clip {0} of {1}", number, of)
        )
        self.full_band.setVisible(clip.take.crossover is not None)
        kept = {each.id for each in self.desk.session.tracks}
        self.bounced.setVisible(clip.kept in kept and bool(clip.kept))
        self.clip_level.set_value(clip.level)
        self.fade_in.set_value(1000 * clip.fade_in)
        self.fade_out.set_value(1000 * clip.fade_out)

    def _show_hits(self) -> None:
        clip = self.desk.view.chosen.clip
        slices = None if clip is None else clip.take.slices
        self.pattern.setVisible(clip is not None and clip.take.playing is not None)
        self.hits.setVisible(clip is None or clip.take.playing is None)
        self.pattern.show_pattern()
        self.hits.show_hits()
        is_whole = slices is None and (clip is None or clip.take.playing is None)
        if is_whole is not self._is_whole:
            self._is_whole = is_whole
            self.clip.setChecked(is_whole)
        for rows in (self.roll, self.scatter):
            rows.setVisible(slices is not None)
        if slices is not None:
            self.roll.show_roll(slices)
            self.scatter.show_scatter()

    def _set_pan(self, session: Session, value: float) -> Session:
        track = self.desk.view.chosen.focused
        return session if track is None else set_pan(session, track.id, value / 100)

    def _on_name(self, name: str) -> None:
        track = self.desk.view.chosen.focused
        if track is not None:
            self.desk.store.apply(lambda session: rename(session, track.id, name), tr("Rename track"))

    def _show(self) -> None:
        track, session = self.desk.view.chosen.focused, self.desk.session
        self.setEnabled(track is not None)
        if track is None:
            return
        self._show_clip()
        self._show_hits()
        self.track.say(tr("Track · {0}", track.name))
        self.name.show_text(track.name)
        self.level.set_value(track.level)
        self.pan.set_value(100 * track.pan)
        group = session.group_of(track.id)
        for button in (self.unlock, self.guide):
            button.setVisible(group is not None)
        if group is None:
            self.locked.setText(tr("{0} is not locked", track.name))
        else:
            names = [session.track(each).name for each in group.tracks]
            self.locked.setText(tr("{0} · guide: {1}", ", ".join(names), session.track(group.guide).name))
