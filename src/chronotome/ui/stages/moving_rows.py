"""How the audio is moved, what stays clean, at what pitch: of the track, or of a clip by itself."""

from PySide6.QtWidgets import QCheckBox

from chronotome.dsp.bands import Instrument
from chronotome.dsp.stretch.engines import ENGINES, MoveBy, StretchMaterial, engine_of
from chronotome.dsp.stretch.gaps import Crossing, Fill
from chronotome.session.model import Take, Track
from chronotome.session.settings import LEAST_CROSSFADE, MOST_CROSSFADE, MOST_SEMITONES, USUAL_BEARS
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.moving import MovingCommands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.figures import signed
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WAYS = tuple(MoveBy)


class MovingRows(Rows):
    """The usual ones; `pitch`, `bears` and `formants` are for whoever lays them out."""

    def __init__(self, desk: UiContext, actions: Actions, commands: MovingCommands) -> None:
        super().__init__(desk, actions)
        self._commands = commands
        self.way = self.choice(
            tr("Method"),
            [way.label.capitalize() for way in WAYS],
            lambda session, index: self._commands.edited(session, by=WAYS[index]),
            tr("Change method"),
        )
        with self.section() as self._keeping:
            self.keeps = self.combo(
                tr("Material"), [each.label for each in StretchMaterial], self._choose_keeps
            )
        with self.section() as self._filling:
            row = self.row(tr("Gap fill"))
            self.fill = Combo(tr("Gap fill"), [fill.label for fill in Fill])
            self.crossing = Combo(tr("Crossfade curve"), [each.label for each in Crossing])
            self.fill.activated.connect(self._choose_fill)
            self.crossing.activated.connect(self._choose_crossing)
            row.addWidget(self.fill, 3)
            row.addWidget(self.crossing, 2)
            self.crossfade = self._slider(
                tr("Crossfade"), "crossfade", LEAST_CROSSFADE, MOST_CROSSFADE, "ms", step=0.5, usual=5
            )
            self.add(self.crossfade)
        self.pitch = ValueSlider(
            desk.view, tr("Pitch"), -MOST_SEMITONES, MOST_SEMITONES, _pitch_words, usual=0
        )
        self.bears = self._slider(tr("Stretch limit"), "bears", 1.05, 3.0, "×", step=0.05, usual=USUAL_BEARS)
        self.bind(
            self.pitch,
            lambda session, value: self._commands.edited(session, semitones=value),
            tr("Set pitch"),
        )
        self.formants = QCheckBox(tr("Keep formants"))
        self.formants.clicked.connect(commands.toggle_formants)

    def _slider(
        self, words: str, name: str, low: float, high: float, unit: str, *, step: float, usual: float
    ) -> ValueSlider:
        def figure(value: float) -> str:
            return f"×{value:.2f}" if unit == "×" else f"{value:g} {unit}"

        slider = ValueSlider(self.desk.view, words, low, high, figure, step=step, usual=usual)
        self.bind(
            slider,
            lambda session, value: self._commands.edited(session, **{name: value}),
            tr("Set {0}", words.lower()),
        )
        return slider

    def _choose_keeps(self, index: int) -> None:
        self._commands.set(tr("Set material"), keeps=list(StretchMaterial)[index])

    def _choose_fill(self, index: int) -> None:
        self._commands.set(tr("Change gap fill"), fill=list(Fill)[index])

    def _choose_crossing(self, index: int) -> None:
        self._commands.set(tr("Change crossfade curve"), crossing=list(Crossing)[index])

    def show_of(self, track: Track, take: Take | None) -> None:
        """As a track that leads is moved, or one of its takes."""
        moving = track.moving if take is None else track.moving_of(take)
        recording = None if take is None else self.desk.session.recording_of(take)
        material = Instrument.MIXED if recording is None else recording.material
        self.way.set_index(WAYS.index(moving.by))
        heard = ENGINES[engine_of(MoveBy.STRETCHING, StretchMaterial.HEARD, material)].keeps
        if heard is not None:
            self.keeps.setItemText(0, tr("detected: {0}", heard.label))
        self.keeps.setCurrentIndex(list(StretchMaterial).index(moving.keeps))
        self._keeping.setVisible(moving.by is MoveBy.STRETCHING)
        self._filling.setVisible(moving.by is MoveBy.CUTTING)
        self.fill.setCurrentIndex(list(Fill).index(moving.fill))
        self.crossing.setCurrentIndex(list(Crossing).index(moving.crossing))
        self.crossfade.set_value(moving.crossfade)
        self.pitch.set_value(moving.semitones)
        self.bears.set_value(moving.bears)
        self.formants.setChecked(moving.keeps_formants)
        self.formants.setEnabled(bool(moving.semitones))


def _pitch_words(value: float) -> str:
    return tr("{0} st", signed(value, 0 if value == round(value) else 2))
