"""What a person chooses for the program, beyond any session: each choice is at work at once."""

from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QCheckBox,
    QDialog,
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
from chronotome.ui.applying import DESKTOP
from chronotome.ui.commands.others import IN_TIME_WORDS
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.figures import megabytes, milliseconds
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented, index_in
from chronotome.ui.desk import Desk
from chronotome.ui.dialogs.midi import MidiDialog
from chronotome.words import tr

WIDTH, HEIGHT = 560, 660
BLOCKS = (64, 128, 256, 512, 1024, 2048)
THEMES = ((tr("Day"), "day"), (tr("Night"), "night"), (tr("As the desktop"), DESKTOP))
STEPS = (0, 50, 200, MOST_STEPS)
MINUTES = (0, 1, 5, 15)
STAND_INS = ((tr("Automatic"), "auto"), (tr("Simulated"), "simulated"))
PORTS = ((tr("Main"), "main"), (tr("Click apart"), "click"), (tr("Each track"), "tracks"))
ROWS = (
    tr("Sound output"),
    tr("Sound input"),
    tr("Frames at once"),
    tr("JACK outputs"),
    tr("Delay of the hand"),
    tr("In time with"),
    tr("MIDI inputs and clock"),
    tr("Media keys"),
    tr("Click of new sessions"),
    tr("Takes are kept in"),
    tr("Theme"),
    tr("Grid follows the zoom"),
    tr("Numbers"),
    tr("Steps saved with a session"),
    tr("Save by itself"),
    tr("Kept to be there sooner"),
)
"""Also what is found by name."""


class PreferencesDialog(QDialog):
    def __init__(self, desk: Desk, calibrate: Callable[[], None], parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Preferences"))
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self.resize(WIDTH, HEIGHT)
        self._desk, self._calibrate = desk, calibrate
        self.fields: dict[str, QWidget] = {}
        self._notes: dict[str, Label] = {}
        self._outputs = self._names(tr("Sound output"), "output")
        self._inputs = self._names(tr("Sound input"), "input")
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
        desk.tasks.run(tr("Looking for sound devices"), lambda _progress: devices(), self._on_devices)

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
        self._heading(tr("Sound"))
        self._row(tr("Sound output"), self._outputs)
        note = tr(
            "Simulated ones are stand-ins: an output that keeps what it played, an input that plays a shaker."
        )
        self._row(tr("Sound input"), self._inputs, note=note)
        blocks = self._one_of(tr("Frames at once"), [str(each) for each in BLOCKS], BLOCKS, "block")
        self._row(tr("Frames at once"), blocks, note=" ")
        self._held = self._notes[tr("Frames at once")]
        self._show_held()
        self._desk.transport.device_changed.connect(self._show_held)

        ports = self._one_of(
            tr("JACK outputs"), [words for words, _ in PORTS], [value for _, value in PORTS], "jack_ports"
        )
        note = tr("Where the session has JACK’s sample rate. The rest is heard from the main outputs.")
        self._row(tr("JACK outputs"), ports, note=note)

    def _build_hand(self) -> None:
        settings = self._desk.preferences.settings
        self._heading(tr("Hand and ear"))
        self._delay = Label(milliseconds(settings.reaction_ms))
        self._delay.setObjectName("figure")
        measure = plain_button(tr("Measure…"), self._on_calibrate)
        self._row(tr("Delay of the hand"), self._delay, measure)
        self._midi = Label()
        self._show_midi()
        values = [each.name.lower() for each in IN_TIME_WORDS]
        in_time = self._one_of(tr("In time with"), list(IN_TIME_WORDS.values()), values, "in_time")
        self._row(
            tr("In time with"),
            in_time,
            note=tr(
                "JACK shares start, stop and position both ways; a MIDI clock starts and stops playback."
            ),
        )
        self._row(tr("MIDI inputs and clock"), self._midi, plain_button(tr("Choose…"), self._on_midi))
        keys = QCheckBox(tr("play and pause Chronotome"))
        keys.setAccessibleName(tr("Media keys"))
        keys.setChecked(settings.has_media_keys)
        keys.toggled.connect(lambda is_on: self._keep(has_media_keys=is_on))
        self._row(tr("Media keys"), keys)
        sounds = tuple(ClickSound)
        click = self._one_of(tr("Click of new sessions"), [tr(str(each)) for each in sounds], sounds, "click")
        click.chosen.connect(self._on_click)
        self._row(tr("Click of new sessions"), click, note=tr("The session that is open takes it too."))
        self._folder = Label()
        self._folder.setWordWrap(True)
        self._show_folder()
        self._row(
            tr("Takes are kept in"),
            self._folder,
            plain_button(tr("Choose…"), self._on_folder),
            note=tr("Until a session that is saved has them."),
        )

    def _build_look(self) -> None:
        self._heading(tr("Look"))
        words, values = [each for each, _ in THEMES], [value for _, value in THEMES]
        self._row(tr("Theme"), self._one_of(tr("Theme"), words, values, "theme"))
        follows = QCheckBox(tr("while the grid is left to it"))
        follows.setAccessibleName(tr("Grid follows the zoom"))
        follows.setChecked(self._desk.view.snap_follows_zoom)
        follows.toggled.connect(self._on_follows)
        self._row(tr("Grid follows the zoom"), follows)
        numbers = Label(tr("−1234.5 in every language. What is typed may have a comma."))
        numbers.setWordWrap(True)
        self._row(tr("Numbers"), numbers)

    def _build_session(self) -> None:
        self._heading(tr("Sessions"))
        steps = ["none", *map(str, STEPS[1:-1]), tr("all of them")]
        self._row(
            tr("Steps saved with a session"), self._one_of(tr("Steps saved"), steps, STEPS, "steps_kept")
        )
        minutes = ["no", *(tr("{0} min", each) for each in MINUTES[1:])]
        saves = self._one_of(tr("Save by itself"), minutes, MINUTES, "autosave_minutes")
        note = tr("Every edit is kept aside at once in any case, and offered again after a crash.")
        self._row(tr("Save by itself"), saves, note=note)
        self._room = Label()
        self._room.setObjectName("figure")
        self._show_room()
        self._row(tr("Kept to be there sooner"), self._room, plain_button(tr("Empty it"), self._on_empty))

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
            words = tr("JACK has its own number, and its keys sound soonest and most evenly.")
        elif state.holds_block:
            words = tr("Fewer sound sooner, more are safer on a busy machine. For playing keys, choose JACK.")
        else:
            words = tr("“{0}” leaves gaps at {1}: choose more, or JACK as sound output.", state.device, block)
        self._held.setText(words)

    def _show_midi(self) -> None:
        names = self._desk.preferences.settings.midi
        self._midi.setText(", ".join(map(shown, names)) if names else tr("all that are plugged in"))

    def _on_click(self, index: int) -> None:
        sound = tuple(ClickSound)[index]
        self._desk.store.apply(
            lambda session: set_click(session, replace(session.click, sound=sound)), tr("Sound of the click")
        )

    def _on_folder(self) -> None:
        said = QFileDialog.getExistingDirectory(self, tr("Keep takes in"), str(takes_folder()))
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
        self._desk.say(tr("What was found in recordings is found anew when they are opened again"))

    def _show_room(self) -> None:
        self._room.setText(megabytes(cache_bytes()))
