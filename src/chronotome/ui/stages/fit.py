"""The tray of Fit: the recording's tempo and beats, who follows whom, the song, the click."""

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QCheckBox, QHBoxLayout, QPushButton, QWidget

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.session.edits.fitting import (
    TempoSync,
    bars_in,
    following_of,
    set_reads,
    set_smooth,
    set_steady,
)
from chronotome.session.edits.timing import set_click
from chronotome.session.edits.tracks import set_moving
from chronotome.session.fit import BeatSource, TempoOption
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.model import ClickSound, Session, replace
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.fit import FOLLOWING_WORDS, Guide, guide_of
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.choices import Choices
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.field import Field
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.sentence import Sentence
from chronotome.ui.controls.typed import number_in
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.figures import clock, counted, decibels, plain, share, tempo_words
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

MOST_OPTIONS = 5
WHOLE = 0.02
SAME_TEMPO = 0.01
SOURCES = {
    "measured": tr("detected"),
    "name": tr("file name"),
    "tag": tr("file tags"),
    "length": tr("file length"),
    "rounds": tr("repetition"),
}
READS = list(BeatSource)
WHO = list(TempoSync)
MOVES = list(MoveBy)
SOUNDS = list(ClickSound)
COUNT_INS = (0, 1, 2)


class FitTray(Tray):
    """The decisions that everybody makes: tempo, bars, beat one, who follows whom. The rest folds."""

    def __init__(self, desk: UiContext, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions, Stage.FIT, tr("tempo, bars and beats"))
        self._fit, self._loops = commands.fit, commands.loops
        self._options: list[TempoOption] = []
        self._add_recording()
        self._add_bars()
        self.add_rule()
        self._add_following()
        self.add_rule()
        with self.folded(tr("Correct tempo")):
            self.add_buttons("half-time", "double-time")
            self.add_buttons("song-tempo", "as-measured")
        with self.folded(tr("Number of bars")):
            self._add_by_hand()
        with self.folded(tr("Create loop")) as self.loop_fold:
            self._add_loop()
        with self.folded(tr("Song")) as self.song:
            self.add_buttons("tempo-here", "metre-here")
            self.add_buttons("halve", "double", "use-measured")
        with self.folded(tr("Metronome")):
            self._add_click()
        self.finish()
        self._soon = Debounce(self._show, self)
        desk.view.chosen.focus_changed.connect(self._show)
        desk.view.chosen.changed.connect(self._soon.ask)
        desk.store.changed.connect(self._soon.ask)
        self._show()

    # Rows

    def _row(self, *widgets: QWidget, stretched: int = -1) -> QHBoxLayout:
        row = QHBoxLayout()
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(8)
        for place, widget in enumerate(widgets):
            row.addWidget(widget, int(place == stretched))
        self.rows.addLayout(row)
        return row

    def _button(self, name: str, words: str) -> QPushButton:
        button = QPushButton(words)
        self.table.attach(button, name)
        return button

    def _typed(self, name: str, width: int, keep: Callable[[str], None]) -> Field:
        edit = Field(name, is_number=True)
        edit.setObjectName("figure")
        edit.setFixedWidth(width)
        edit.setToolTip(tr("{0}: click to type, arrow keys to step", name))
        edit.kept.connect(keep)
        return edit

    @staticmethod
    def _soft(words: str = "") -> Label:
        label = Label(words)
        label.setObjectName("soft")
        return label

    def _add_recording(self) -> None:
        self.heading = self.add_label(tr("Recording tempo"), "heading")
        self.tempo = self._typed(tr("Recording tempo in beats per minute"), 84, self._on_tempo)
        self.kind, self.sure = Sentence(), self._soft()
        self.kind.setObjectName("soft")
        self._row(self.tempo, self.kind, self.sure, stretched=1)
        self.options = Combo(tr("Possible tempi"))
        self.options.setToolTip(tr("Possible tempi and their source"))
        self.options.activated.connect(lambda index: self._fit.choose(self._options[index]))
        self.add(self.options)

    def _add_bars(self) -> None:
        fewer, more = self._button("fewer-bars", "−"), self._button("more-bars", "+")
        halved, doubled = self._button("half-bars", "÷ 2"), self._button("double-bars", "× 2")
        for button in (fewer, more, halved, doubled):
            button.setObjectName("step")
        self.bars = self._typed(tr("Bars of the recording"), 66, self._on_bars)
        self.bars.setAlignment(Qt.AlignmentFlag.AlignHCenter)
        self.of = Sentence()
        self.of.setObjectName("soft")
        row = self._row(fewer, self.bars, more, self.of, halved, doubled, stretched=3)
        row.setSpacing(4)
        self.one = self._soft()
        self.one.setWordWrap(True)
        self._row(self.one, self._button("beat-one", tr("Set here")), stretched=0)
        self.check = self.add_label("", "soft")
        self.mends = self.add_buttons("mend-half", "mend-double", "mend-earlier", "mend-later")

    def _add_by_hand(self) -> None:
        self.add_buttons("bar-here", "tap")
        self.add_label(tr("Beat source"))
        self.reads = self.choice(
            tr("Beat source"),
            [tr("Detected"), tr("Hits are beats"), tr("Hits are bars")],
            lambda session, index: self._edit_reads(session, READS[index]),
            tr("Beats of the recording"),
        )

    def _add_following(self) -> None:
        self.add_label(tr("Tempo sync"), "heading")
        rows = [(FOLLOWING_WORDS[who], "") for who in WHO]
        self.who = Choices(self.desk.view, tr("Tempo sync"), rows)
        self.who.chosen.connect(lambda index: self._fit.set_following(WHO[index]))
        self.add(self.who)
        (self.straighten,) = self.add_buttons("straighten")
        self.smooth = self.choice(
            tr("Tempo map"),
            [tr("each beat"), tr("smoothed")],
            lambda session, index: set_smooth(session, index == 1),
            tr("Set tempo map detail"),
        )
        self.steady = ValueSlider(
            self.desk.view, tr("Evenness"), 0, 100, lambda value: f"{value:.0f} %", usual=100
        )
        self.add(self.steady)
        self.bind(self.steady, self._set_steady, tr("Set tempo evenness"))
        self.move_by = self.choice(
            tr("Method"),
            [tr("Cutting"), tr("Stretching"), tr("Tape")],
            lambda session, index: self._edit_move_by(session, MOVES[index]),
            tr("Method"),
        )

    def _add_loop(self) -> None:
        self.loop = self.add_label("", "soft")
        self.add_buttons("loop", "pull-loop")
        self.fade = ValueSlider(
            self.desk.view, tr("Fade length"), 0, 50, lambda value: tr("{0:.0f} ms", value), usual=3
        )
        self.fade.slid.connect(self._set_fade)
        self.fade.settled.connect(self._set_fade)
        self.add(self.fade)
        self.drops = QCheckBox(tr("Discard the rest of the recording"))
        self.drops.toggled.connect(self._set_drops)
        self.add(self.drops)
        self.add_buttons("own-recording")

    def _set_fade(self, milliseconds: float) -> None:
        self._loops.fade_ms = milliseconds

    def _set_drops(self, is_on: bool) -> None:  # noqa: FBT001 - a signal's value
        self._loops.drops_rest = is_on

    def _add_click(self) -> None:
        self.add_buttons("click", "tour")
        self.sound = self.choice(
            tr("Metronome sound"),
            [tr("Wood"), tr("Tick"), tr("Bell")],
            lambda session, index: set_click(session, replace(session.click, sound=SOUNDS[index])),
            tr("Metronome sound"),
        )
        self.count_in = self.choice(
            tr("Count-in"),
            [tr("Off"), tr("1 bar"), tr("2 bars")],
            lambda session, index: set_click(session, replace(session.click, count_in=COUNT_INS[index])),
            tr("Count-in"),
        )
        self.accents = QCheckBox(tr("Accent beat one"))
        self.accents.toggled.connect(self._set_accents)
        self.add(self.accents)
        self.level = ValueSlider(self.desk.view, tr("Metronome level"), -36, 6, decibels, step=1, usual=-12)
        self.add(self.level)
        self.bind(self.level, self._set_level, tr("Set metronome level"))

    # Edits

    @staticmethod
    def _set_level(session: Session, level: float) -> Session:
        return set_click(session, replace(session.click, level=level))

    def _set_accents(self, is_on: bool) -> None:  # noqa: FBT001 - a signal's value
        words = tr("Accent beat one") if is_on else tr("Accent off")
        self.desk.store.apply(
            lambda session: set_click(session, replace(session.click, accents=is_on)), words
        )

    def _set_steady(self, session: Session, percent: float) -> Session:
        track = self.desk.view.chosen.focused
        return session if track is None else set_steady(session, track.id, percent / 100)

    def _edit_move_by(self, session: Session, move_by: MoveBy) -> Session:
        track = self.desk.view.chosen.focused
        return session if track is None else set_moving(session, track.id, by=move_by)

    def _edit_reads(self, session: Session, reads: BeatSource) -> Session:
        track = self.desk.view.chosen.focused
        return session if track is None else set_reads(session, track.id, reads)

    def _on_tempo(self, text: str) -> None:
        tempo = number_in(text) or 0.0
        if SLOWEST <= tempo <= FASTEST:
            self._fit.set_tempo(tempo)
        else:
            self.desk.say(
                tr("The tempo “{0}” is invalid. Enter {1:.0f} to {2:.0f} bpm.", text, SLOWEST, FASTEST)
            )

    def _on_bars(self, text: str) -> None:
        number = number_in(text) or 0.0
        if number > 0:
            self._fit.set_bars(number)

    # Showing

    @staticmethod
    def _tempo_words(guide: Guide | None) -> str:
        return "" if guide is None or guide.beats is None else plain(guide.beats.tempo, 2)

    def _show(self) -> None:
        session, guide = self.desk.session, guide_of(self.desk)
        self.song.say(tr("Song: {0} bpm", tempo_words(session.tempo)))
        self.level.set_value(session.click.level)
        self.accents.setChecked(session.click.accents)
        self.sound.set_index(SOUNDS.index(session.click.sound))
        self.count_in.set_index(min(session.click.count_in, len(COUNT_INS) - 1))
        self.tempo.show_text(self._tempo_words(guide))
        for widget in (self.tempo, self.bars, self.who, self.straighten, self.reads):
            widget.setEnabled(guide is not None)
        self._show_options(guide)
        implied = self._loops.implied()
        self.loop.setText(tr("Drag over the ruler to set the loop") if implied is None else implied.words)
        if guide is None:
            self.kind.say("")
            for label in (self.sure, self.one, self.check):
                label.setText("")
            self.bars.show_text("")
            return
        focused = self.desk.view.chosen.focused
        is_own = focused is not None and focused.id == guide.track.id
        self.heading.setText(tr("Recording tempo") if is_own else tr("Tempo of {0}", guide.track.name))
        self._show_beats(guide)
        who = following_of(session, guide.track.id)
        self.who.set_index(WHO.index(who))
        self.steady.set_value(guide.track.steady * 100)
        self.move_by.set_index(MOVES.index(guide.track.moving.by))
        for shown in (self.steady, self.move_by):
            shown.setVisible(who is TempoSync.RECORDING)
        self.smooth.setVisible(who is TempoSync.GRID)
        self.smooth.set_index(int(session.lead is not None and session.lead.is_smooth))
        self.straighten.setVisible(who is not TempoSync.RECORDING)
        self.reads.set_index(READS.index(guide.recording.fit.reads))
        self._show_checks(guide)

    def _show_options(self, guide: Guide | None) -> None:
        measured = None if guide is None else guide.recording.measured
        self._options = [] if measured is None else list(measured.options[:MOST_OPTIONS])
        rows = []
        for option in self._options:
            said = ", ".join(SOURCES.get(each, each) for each in option.sources)
            rows.append(f"{plain(option.beats_per_minute, 2)} · {share(option.confidence)} · {said}")
        if rows != [self.options.itemText(row) for row in range(self.options.count())]:
            self.options.clear()
            self.options.addItems(rows)
        self.options.setVisible(len(rows) > 0)
        chosen = -1
        if guide is not None and guide.beats is not None and measured is not None:
            tempo = guide.beats.tempo / measured.quarters
            near = [abs(option.beats_per_minute / tempo - 1) < SAME_TEMPO for option in self._options]
            chosen = near.index(True) if True in near else -1
        self.options.setCurrentIndex(chosen)
        is_known = 0 <= chosen < len(self._options)
        self.sure.setText(tr("{0} sure", share(self._options[chosen].confidence)) if is_known else "")

    def _show_beats(self, guide: Guide) -> None:
        fit, measured, beats = guide.recording.fit, guide.recording.measured, guide.beats
        metre = self.desk.session.metre.metre_at(guide.take.beat)
        self.of.say(tr("bars"))
        if beats is None:
            self.kind.say(tr("unknown"))
            self.bars.show_text("")
            self.one.setText(tr("Beat one not set"))
            return
        if fit.tempo is not None:
            kind = tr("bpm, set by you")
        elif fit.reads is not BeatSource.MEASURED:
            kind = tr("bpm, from tapped or set beats")
        else:
            kind = tr("bpm, steady") if measured is not None and measured.is_constant else tr("bpm, drifting")
            swing = None if measured is None else measured.played_swing
            if swing is not None:
                kind += tr(" · swing {0:.0f} %", swing[0])
        self.kind.say(kind)
        bars = bars_in(self.desk.session, guide.take)
        near = round(bars)
        self.bars.show_text(str(near) if abs(bars - near) < WHOLE else plain(bars, 2))
        if measured is not None and measured.metre != metre and measured.bar_confidence > 0.5:
            self.of.say(tr("bars, detected: {0}", measured.metre.words))
        is_set = fit.beat_one is not None or any(pin.beat == 0 for pin in fit.pins)
        said = tr("set") if is_set else tr("detected")
        self.one.setText(tr("Beat one  {0}  {1}", clock(beats.beat_one), said))

    def _show_checks(self, guide: Guide) -> None:
        checks = fit_checks_of(self.desk.session, guide.track)
        beat = self.desk.view.chosen.beat
        here = next((check for check in checks if check.beat == beat), None)
        if here is not None:
            self.check.setText(f"{here.title.capitalize()}: {here.sentence}")
        elif checks:
            self.check.setText(tr("{0} to check (N: next)", counted(len(checks), "bar")))
        else:
            self.check.setText(tr("From the selected bar on:") if beat is not None else "")
        is_mendable = bool(checks) or beat is not None
        self.check.setVisible(is_mendable)
        for button in self.mends:
            button.setVisible(is_mendable)
