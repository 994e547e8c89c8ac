"""Dialogs: shortcuts, and what the marks mean."""

from collections.abc import Mapping

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import (
    QDialog,
    QDialogButtonBox,
    QGridLayout,
    QKeySequenceEdit,
    QLabel,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from chronotome.ui.actions import Actions
from chronotome.ui.controls.plain_text import Label
from chronotome.words import tr

HELP = tr("""
<p><b>Shape first, colour second</b></p>
<p>▼ notch on the wave: an onset. Hollow: below the threshold.<br>
◆ on the ruler: a hit that was set by hand. ◇: placed by Tighten.<br>
▲ early, ▼ late, ○ left alone: a hit as it was played. The small ring: where it lands.<br>
Hatching under the wave: stretched, by the ratio printed on it.<br>
Ochre: a place to check. N goes to the next one.</p>
<p>■ ● ▲ on a stem: low, mid, high. A bar under a mark: it is locked.</p>
<p><b>The mouse in Mark</b></p>
<p>Click a notch or a stem: hear that hit. Shift: select up to it.<br>
Drag a notch: the mark is corrected, the sound stays. Ctrl: the sound slips, the mark stays.<br>
Shift (or Alt) while dragging: no snap.<br>
Double-click the wave adds an onset, a mark is dropped or kept. Drag over wave or stems selects.<br>
In the lens a pixel is a frame.</p>
<p><b>The mouse in Fit</b></p>
<p>Drag a beat or a bar in the Pulse lane; from a bar that is dragged far, later ones count on.<br>
Double-click a diamond there: as it was found.<br>
Click a faint line: the recording has that tempo. Ctrl+drag the end of the sound: it is that many bars.<br>
A section: click jumps, double-click loops, its ends can be dragged.</p>
<p><b>The mouse in Tighten</b></p>
<p>Shift+click a notch or a triangle: choose more hits; drag over the wave or the Drift lane: several.
What is chosen moves together. Ctrl+drag: the hits beside it stay. A drag stops where sound is stretched
more than it bears; Alt pushes through. Double-click the wave: a warp marker there, its neighbours held.<br>
Groove: drag a step up or down, Shift draws over many, Ctrl its loudness, double-click: on its line.<br>
Match: drag the end of a line, or a lone hit, to another hit to pair them.<br>
In the folded bar a click chooses all hits of a step. A span under the ruler: click for its recipe,
drag its ends.</p>
<p><b>The mouse in Rework</b></p>
<p>A clip’s strip: click chooses, with Shift more of them; drag moves in whole steps, to another track too;
Ctrl+drag copies. Its edges trim: the sound stays where it is.<br>
The rings at its upper corners fade, the arrow at its lower corner repeats.<br>
Drag over waves, of several tracks too: a range. X cuts at its ends; copy, cut out, duplicate, delete, reverse
and mute act on what is between, Shift+L loops it, Esc lets go of it.<br>
Curves where clips overlap: they cross over. A broken line: muted. An arrow to the left: reversed.<br>
A track’s header: drag moves it among the others, its lower edge makes the lane taller, lower or folds it.
Double-click on the name of the tall one: rename.</p>
<p><b>Hits that were taken apart (Ctrl+H)</b></p>
<p>A hit in the wave: click chooses and hears it, with Shift more of them; drag moves it to a line,
Ctrl+drag copies, its end makes it longer or shorter. Drag along the foot, or in a gap: several.<br>
At its foot stands what was done to it: ← reversed, ×4 or ≣ a roll, +3 its pitch, ~ scattered.<br>
Shape: draw a value over hits; Shift: a line, Ctrl: a curve up and back, Alt: without steps. On the ring
of a chosen hit: all chosen ones move together. Double-click: type it. Arrows up and down nudge it.</p>
<p><b>Patterns and keys (Ctrl+U, Ctrl+P, F8)</b></p>
<p>Click or draw on an empty cell: steps. A step: drag moves it, its end lengthens, Ctrl up and down:
loudness, Ctrl+Shift: chance, Ctrl+Alt: repeats. The right button erases. A row’s key: all its steps.<br>
A bar is as long as it sounds, as high as it is loud. Broken: by chance, filled to its odds.
Combed: repeats.<br>
While letters play (F8): , and . reach more slices, Backspace takes the last round back, Esc ends it.</p>
<p><b>The mouse</b></p>
<p>Wheel scrolls, Ctrl+wheel zooms where the pointer is.<br>
Drag a drift mark, a notch or a diamond to move that hit; Alt: without snap; Escape: leave it.<br>
Double-click a mark takes back what was set by hand.<br>
Drag over the ruler loops that span.</p>
""")


def first_of(keys: str) -> QKeySequence:
    """The first of several shortcuts."""
    return QKeySequence(keys.split(", ", maxsplit=1)[0])


class ShortcutsDialog(QDialog):
    """Every action with its keys, to be changed."""

    def __init__(self, actions: Actions, own: Mapping[str, str], parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Shortcuts"))
        self.resize(460, 560)
        layout = QVBoxLayout(self)
        body = QWidget()
        grid = QGridLayout(body)
        self._edits: dict[str, tuple[QKeySequenceEdit, str]] = {}
        for row, entry in enumerate(actions.entries):
            label = Label(f"{entry.menu}: {entry.words.rstrip('…')}")
            edit = QKeySequenceEdit(first_of(own.get(entry.name, entry.keys)))
            edit.setClearButtonEnabled(True)
            edit.setAccessibleName(entry.words)
            label.setBuddy(edit)
            grid.addWidget(label, row, 0)
            grid.addWidget(edit, row, 1)
            self._edits[entry.name] = (edit, entry.keys)
        area = QScrollArea()
        area.setWidgetResizable(True)
        area.setWidget(body)
        layout.addWidget(area)
        self.problem = Label()
        self.problem.setWordWrap(True)
        layout.addWidget(self.problem)
        buttons = QDialogButtonBox(
            QDialogButtonBox.StandardButton.Ok
            | QDialogButtonBox.StandardButton.Cancel
            | QDialogButtonBox.StandardButton.RestoreDefaults
        )
        buttons.accepted.connect(self._on_accept)
        buttons.rejected.connect(self.reject)
        usual = buttons.button(QDialogButtonBox.StandardButton.RestoreDefaults)
        usual.clicked.connect(self._on_usual)
        layout.addWidget(buttons)

    def shortcuts(self) -> dict[str, str]:
        """Those that differ from the usual ones."""
        chosen = {}
        for name, (edit, usual) in self._edits.items():
            keys = edit.keySequence().toString()
            if keys != first_of(usual).toString():
                chosen[name] = keys
        return chosen

    def _on_usual(self) -> None:
        for edit, usual in self._edits.values():
            edit.setKeySequence(first_of(usual))

    def _on_accept(self) -> None:
        taken: dict[str, str] = {}
        for name, (edit, _) in self._edits.items():
            keys = edit.keySequence().toString()
            if keys and keys in taken:
                self.problem.setText(tr("{0} stands for two actions: change one of them.", keys))
                edit.setFocus(Qt.FocusReason.OtherFocusReason)
                return
            taken[keys] = name
        self.accept()


class HelpDialog(QDialog):
    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Marks and mouse"))
        layout = QVBoxLayout(self)
        text = QLabel(HELP)
        text.setTextFormat(Qt.TextFormat.RichText)
        layout.addWidget(text)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
