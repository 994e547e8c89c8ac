"""What a person chooses for the program, beyond any session: each choice is at work at once."""

from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QCheckBox,
    QDialogButtonBox,
    QFileDialog,
    QGridLayout,
    QHBoxLayout,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)
from shiboken6 import isValid

from chronotome.engine.devices import Devices, devices
from chronotome.engine.jack_sound import JACK
from chronotome.files.cache import cache_bytes, empty_cache
from chronotome.files.names import path_words, shown
from chronotome.files.takes import takes_folder
from chronotome.session.edits.timing import set_click
from chronotome.session.history import MOST_STEPS
from chronotome.session.model import ClickSound, replace
from chronotome.ui.commands.others import IN_TIME_WORDS
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented, index_in
from chronotome.ui.dialogs.midi import MidiDialog
from chronotome.ui.state.applying import DESKTOP
from chronotome.ui.state.figures import megabytes, milliseconds
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WIDTH, HEIGHT = 560, 660
BLOCKS = (64, 128, 256, 512, 1024, 2048)
CONTRASTS = ((tr("Usual"), "usual"), (tr("High"), "high"), (tr("System"), DESKTOP))
THEMES = ((tr("Day"), "day"), (tr("Night"), "night"), (tr("System"), DESKTOP))
STEPS = (0, 50, 200, MOST_STEPS)
MINUTES = (0, 1, 5, 15)
STAND_INS = ((tr("Automatic"), "auto"), (tr("Simulated"), "simulated"))
PORTS = ((tr("Main only"), "main"), (tr("Metronome"), "click"), (tr("Each track"), "tracks"))
ROWS = (
    tr("Audio output"),
    tr("Audio input"),
    tr("Buffer size (samples)"),
    tr("JACK outputs"),
    tr("Your tapping latency"),
    tr("Sync"),
    tr("MIDI inputs and clock"),
    tr("Media keys"),
    tr("Default metronome sound"),
    tr("Takes folder"),
    tr("Theme"),
    tr("Contrast"),
    tr("Grid follows zoom"),
    tr("Numbers"),
    tr("Undo steps to save"),
    tr("Autosave"),
    tr("Cache"),
)
"""Also what is found by name."""


class PreferencesDialog(Dialog):
    def __init__(self, desk: UiContext, calibrate: Callable[[], None], parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Preferences"))
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self.resize(WIDTH, HEIGHT)
        self._desk, self._calibrate = desk, calibrate
        self.fields: dict[str, QWidget] = {}
        self._notes: dict[str, Label] = {}
        self._outputs = self._names(tr("Audio output"), "output")
        self._inputs = self._names(tr("Audio input"), "input")
        body = QWidget()
        body.setObjectName("trayBody")
        self._grid = QGridLayout(body)
        self._grid.setContentsMargins(24, 12, 24, 16)
        self._grid.setHorizontalSpacing(20)
        self._grid.setVerticalSpacing(8)
        self._grid.setColumnMinimumWidth(0, 170)
        self._grid.setColumnStretch(1, 1)
        self._build_sound()
        self._build_hand()
        self._build_look()
        self._build_session()
        self._grid.setRowStretch(self._grid.rowCount(), 1)
        area = QScrollArea()
        area.setWidgetResizable(True)
        area.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        area.setWidget(body)
        self._area = area
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 12)
        layout.addWidget(area, 1)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        buttons.setContentsMargins(0, 0, 24, 0)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
        desk.tasks.run(tr("Searching for audio devices"), lambda _progress: devices(), self._on_devices)

    def show_row(self, name: str) -> None:
        """Scroll to a setting, and put the keys there."""
        field = self.fields.get(name)
        if field is not None:
            self._area.ensureWidgetVisible(field)
            field.setFocus(Qt.FocusReason.OtherFocusReason)

    # Building

    def _heading(self, words: str) -> None:
        label = Label(words)
        label.setObjectName("heading")
        label.setContentsMargins(0, 10, 0, 0)
        self._grid.addWidget(label, self._grid.rowCount(), 0, 1, 2)

    def _row(self, name: str, field: QWidget, *more: QWidget, note: str = "") -> None:
        row = self._grid.rowCount()
        label = Label(name)
        label.setBuddy(field)
        self.fields[name] = field
        self._grid.addWidget(label, row, 0)
        side = QHBoxLayout()
        side.addWidget(field, 1)
        for each in more:
            side.addWidget(each)
        self._grid.addLayout(side, row, 1)
        if note:
            words = Label(note)
            words.setObjectName("soft")
            words.setWordWrap(True)
            self._grid.addWidget(words, row + 1, 1)
            self._notes[name] = words

    def _keep(self, **changes: Any) -> None:
        self._desk.preferences.keep(**changes)

    def _one_of(self, name: str, words: Sequence[str], values: Sequence[Any], field: str) -> Segmented:
        """A few choices side by side."""
        made = Segmented(self._desk.view, name, words)
        made.set_index(index_in(values, getattr(self._desk.preferences.settings, field)))
        made.chosen.connect(lambda index: self._keep(**{field: values[index]}))
        return made

    def _names(self, name: str, field: str) -> Combo:
        """Devices by name: those that are there are known a moment later."""
        combo = Combo(name)
        chosen = getattr(self._desk.preferences.settings, field)
        for words, value in STAND_INS:
            combo.addItem(words, value)
        if chosen not in {value for _, value in STAND_INS}:
            combo.addItem(shown(chosen), chosen)
        combo.setCurrentIndex(combo.findData(chosen))
        combo.activated.connect(lambda index: self._keep(**{field: combo.itemData(index)}))
        return combo

    def _on_devices(self, found: Devices) -> None:
        if not isValid(self):  # it was closed before they were found
            return
        for combo, names in ((self._outputs, found.outputs), (self._inputs, found.inputs)):
            for each in names:
                if combo.findData(each) < 0:
                    combo.addItem(shown(each), each)

    def _build_sound(self) -> None:
        self._heading(tr("Audio"))
        self._row(tr("Audio output"), self._outputs)
        note = tr(
            "For testing without a device: the simulated output stores what it plays, the "
            "simulated input plays a shaker."
        )
        self._row(tr("Audio input"), self._inputs, note=note)
        blocks = self._one_of(tr("Buffer size (samples)"), [str(each) for each in BLOCKS], BLOCKS, "block")
        self._row(tr("Buffer size (samples)"), blocks, note=" ")
        self._held = self._notes[tr("Buffer size (samples)")]
        self._show_held()
        self._desk.transport.device_changed.connect(self._show_held)

        ports = self._one_of(
            tr("JACK outputs"), [words for words, _ in PORTS], [value for _, value in PORTS], "jack_ports"
        )
        note = tr(
            "Works where session and JACK have the same sample rate. All else plays on the main outputs."
        )
        self._row(tr("JACK outputs"), ports, note=note)

    def _build_hand(self) -> None:
        settings = self._desk.preferences.settings
        self._heading(tr("Playing and recording"))
        self._delay = Label(milliseconds(settings.reaction_ms))
        self._delay.setObjectName("figure")
        measure = plain_button(tr("Measure…"), self._on_calibrate)
        self._row(tr("Your tapping latency"), self._delay, measure)
        self._midi = Label()
        self._show_midi()
        values = [each.name.lower() for each in IN_TIME_WORDS]
        in_time = self._one_of(tr("Sync"), list(IN_TIME_WORDS.values()), values, "in_time")
        self._row(
            tr("Sync"),
            in_time,
            note=tr(
                "JACK shares start, stop and position both ways. A MIDI clock starts and stops playback."
            ),
        )
        self._row(tr("MIDI inputs and clock"), self._midi, plain_button(tr("Choose…"), self._on_midi))
        keys = QCheckBox(tr("Play and pause Chronotome"))
        keys.setAccessibleName(tr("Media keys"))
        keys.setChecked(settings.has_media_keys)
        keys.toggled.connect(lambda is_on: self._keep(has_media_keys=is_on))
        self._row(tr("Media keys"), keys)
        sounds = tuple(ClickSound)
        click = self._one_of(tr("Default metronome sound"), [each.label for each in sounds], sounds, "click")
        click.chosen.connect(self._on_click)
        self._row(tr("Default metronome sound"), click, note=tr("Also applies to the open session."))
        self._folder = Label()
        self._folder.setWordWrap(True)
        self._show_folder()
        self._row(
            tr("Takes folder"),
            self._folder,
            plain_button(tr("Choose…"), self._on_folder),
            note=tr("Takes stay here until you save the session."),
        )

    def _build_look(self) -> None:
        self._heading(tr("Appearance"))
        words, values = [each for each, _ in THEMES], [value for _, value in THEMES]
        self._row(tr("Theme"), self._one_of(tr("Theme"), words, values, "theme"))
        words, values = [each for each, _ in CONTRASTS], [value for _, value in CONTRASTS]
        self._row(tr("Contrast"), self._one_of(tr("Contrast"), words, values, "contrast"))
        follows = QCheckBox(tr("unless you set a fixed grid"))
        follows.setAccessibleName(tr("Grid follows zoom"))
        follows.setChecked(self._desk.view.snap_follows_zoom)
        follows.toggled.connect(self._on_follows)
        self._row(tr("Grid follows zoom"), follows)
        numbers = Label(tr("Shown as −1234.5 in every language. You can type a comma or a point."))
        numbers.setWordWrap(True)
        self._row(tr("Numbers"), numbers)

    def _build_session(self) -> None:
        self._heading(tr("Sessions"))
        steps = ["none", *map(str, STEPS[1:-1]), tr("all")]
        self._row(tr("Undo steps to save"), self._one_of(tr("Saved undo steps"), steps, STEPS, "steps_kept"))
        minutes = ["no", *(tr("{0} min", each) for each in MINUTES[1:])]
        saves = self._one_of(tr("Autosave"), minutes, MINUTES, "autosave_minutes")
        note = tr("Edits are also stored at once, so that Chronotome can restore them after a crash.")
        self._row(tr("Autosave"), saves, note=note)
        self._room = Label()
        self._room.setObjectName("figure")
        self._show_room()
        self._row(tr("Cache"), self._room, plain_button(tr("Clear cache"), self._on_empty))

    # Doing

    def _on_calibrate(self) -> None:
        self._calibrate()
        self._delay.setText(milliseconds(self._desk.preferences.settings.reaction_ms))

    def _on_midi(self) -> None:
        MidiDialog.ask(self._desk, self)
        self._show_midi()

    def _show_held(self) -> None:
        """Whether the device plays as few at once without gaps, by what it did when it was opened."""
        transport = self._desk.transport
        state, block = transport.device, transport.block
        if state.device.startswith(JACK):
            words = tr("JACK sets its own buffer size. Keys respond fastest with JACK.")
        elif state.holds_block:
            words = tr(
                "Smaller buffers respond faster; larger buffers are safer on a busy computer. "
                "For playing keys, choose JACK."
            )
        else:
            words = tr(
                "“{0}” drops out at {1} samples. Choose a larger buffer, or JACK as audio output.",
                state.device,
                block,
            )
        self._held.setText(words)

    def _show_midi(self) -> None:
        names = self._desk.preferences.settings.midi
        self._midi.setText(", ".join(map(shown, names)) if names else tr("all connected inputs"))

    def _on_click(self, index: int) -> None:
        sound = tuple(ClickSound)[index]
        self._desk.store.apply(
            lambda session: set_click(session, replace(session.click, sound=sound)), tr("Metronome sound")
        )

    def _on_folder(self) -> None:
        said = QFileDialog.getExistingDirectory(self, tr("Choose takes folder"), str(takes_folder()))
        if said:
            self._keep(takes=path_words(Path(said)))
            self._show_folder()

    def _show_folder(self) -> None:
        self._folder.setText(shown(str(takes_folder())))

    def _on_follows(self, is_on: bool) -> None:  # noqa: FBT001 - a signal's
        view = self._desk.view
        view.set_snap(None if is_on else view.grid)
        self._keep(grid_follows_zoom=is_on)

    def _on_empty(self) -> None:
        empty_cache()
        self._show_room()
        self._desk.say(tr("Cache cleared. Recordings are analysed again when you open them."))

    def _show_room(self) -> None:
        self._room.setText(megabytes(cache_bytes()))
