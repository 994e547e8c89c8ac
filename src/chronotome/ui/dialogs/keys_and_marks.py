"""Dialogs: shortcuts, and what the marks mean."""

from collections.abc import Mapping

from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import (
    QDialogButtonBox,
    QGridLayout,
    QKeySequenceEdit,
    QLabel,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.menus import paths
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.words import tr

HELP_SIZE = 760, 640

HELP = tr(
    """
<p><b>Symbols</b></p>
<p>▼ above the wave: an onset. Hollow: below the threshold.<br>
◆ on the ruler: a warp marker set by hand. ◇: placed by Tighten.<br>
▲ early, ▼ late, ○ within tolerance: a hit as played. Small ring: its target.<br>
Hatching under the wave: stretched by the printed ratio.<br>
Ochre: a place to check. N goes to the next one.</p>
<p>■ ● ▲ on a stem: low, mid, high. A bar under an onset: pinned.</p>
<p><b>Mouse in Mark</b></p>
<p>Click an onset or a stem: play its hit. Shift+click: select up to it.<br>
Drag an onset: correct it; the audio stays. Ctrl+drag: slip the audio; the onset stays.<br>
Shift or Alt while dragging: no snap.<br>
Double-click the wave: add an onset. Double-click an onset: delete or keep it. Drag over the wave or the
stems: select.<br>
In the magnifier, one pixel is one sample.</p>
<p><b>Mouse in Fit</b></p>
<p>Drag a beat or a bar in the Pulse lane. After a long drag of a bar, later bars are counted again.<br>
Double-click a diamond: reset it.<br>
Click a faint line: use that tempo. Ctrl+drag the end of the recording: set its length in bars.<br>
Click a section: go there. Double-click: loop it. Drag its ends: resize it.</p>
<p><b>Mouse in Tighten</b></p>
<p>Shift+click an onset or a triangle: select more hits. Drag over the wave or the Drift lane: select
several.
Selected hits move together. Ctrl+drag: hold the neighbours. A drag stops at the stretch limit;
Alt ignores the limit. Double-click the wave: add a warp marker and hold its neighbours.<br>
Groove: drag a step up or down. Shift+drag: draw over steps. Ctrl+drag: loudness. Double-click: reset the
step.<br>
Match: drag the end of a line, or an unpaired hit, onto another hit to pair them.<br>
In the folded bar, click a step to select its hits in all bars. Click a span under the ruler to edit its
settings;
drag its ends to resize it.</p>
<p><b>Mouse in Rework</b></p>
<p>Click a clip title: select the clip. Shift+click: select more. Drag: move in grid steps, also to
another track.
Ctrl+drag: copy. Drag the edges: trim; the audio stays in place.<br>
Drag the rings at the upper corners: fade. Drag the arrow at the lower corner: repeat.<br>
Drag over waves, also of several tracks: select a range. X splits at its ends. Copy, cut, duplicate,
delete, reverse
and mute act on the range. Shift+L loops it, Esc clears it.<br>
Curves where clips overlap: a crossfade. A dashed outline: muted. An arrow to the left: reversed.<br>
Drag a track header: move the track. Drag its lower edge: resize or fold the lane.
Double-click the name of the large track: rename it.</p>
<p><b>Hits of a sliced clip (Ctrl+H)</b></p>
<p>Click a hit: select and play it. Shift+click: select more. Drag: move it to a line.
Ctrl+drag: copy. Drag its end: change its length. Drag along the bottom edge, or in a gap: select
several.<br>
Signs at the bottom edge: ← reversed, ×4 or ≣ roll, +3 pitch, ~ randomised.<br>
Shape: draw values over hits. Shift: line. Ctrl: curve up and back. Alt: no steps. Drag the ring
of a selected hit: change all selected hits. Double-click: type a value. Up and down arrows: nudge it.</p>
<p><b>Patterns and keys (Ctrl+U, Ctrl+P, F8)</b></p>
<p>Click or drag on empty cells: add steps. Drag a step: move it. Drag its end: lengthen it. Ctrl+drag up
or down:
loudness. Ctrl+Shift+drag: chance. Ctrl+Alt+drag: repeats. Right-drag: delete. Click the key of a row:
select its steps.<br>
The length of a bar is the length of the sound, its height the loudness. Dashed: plays by chance, filled
to the chance.
Divided: repeats.<br>
While letter keys play (F8): , and . show more slices, Backspace removes the last pass, Esc ends it.</p>
<p><b>Mouse in every stage</b></p>
<p>Wheel: scroll. Ctrl+wheel: zoom at the pointer.<br>
Drag a drift mark, an onset or a diamond: move its hit. Alt: no snap. Escape: cancel the drag.<br>
Double-click a mark: reset it.<br>
Drag over the ruler: loop that span.</p>
"""
)


def first_of(keys: str) -> QKeySequence:
    """The first of several shortcuts."""
    return QKeySequence(keys.split(", ", maxsplit=1)[0])


class ShortcutsDialog(Dialog):
    """Every action with its keys, to be changed."""

    def __init__(self, actions: Actions, own: Mapping[str, str], parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Keyboard shortcuts"))
        self.resize(460, 560)
        layout = QVBoxLayout(self)
        body = QWidget()
        grid = QGridLayout(body)
        self._edits: dict[str, tuple[QKeySequenceEdit, str]] = {}
        self._letters = actions.letters
        way, shown = paths(), ""
        known = {entry.name: entry for entry in actions.entries}
        loose = [name for name in known if name not in way]
        ways = list(dict.fromkeys(way.values()))
        for entry in (known[name] for name in (*sorted(way, key=lambda name: ways.index(way[name])), *loose)):
            where = way.get(entry.name, tr("Without menu entry"))
            if where != shown:
                shown = where
                heading = Label(where)
                heading.setObjectName("heading")
                grid.addWidget(heading, grid.rowCount(), 0, 1, 2)
            row = grid.rowCount()
            label = Label(entry.words.rstrip("…"))
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
                self.problem.setText(tr("{0} is used by two actions. Change one of them.", keys))
                edit.setFocus(Qt.FocusReason.OtherFocusReason)
                return
            if keys.startswith("Alt+") and keys.removeprefix("Alt+").lower() in self._letters:
                self.problem.setText(tr("{0} opens a menu. Choose another shortcut.", keys))
                edit.setFocus(Qt.FocusReason.OtherFocusReason)
                return
            taken[keys] = name
        self.accept()


class HelpDialog(Dialog):
    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Symbols and mouse actions"))
        layout = QVBoxLayout(self)
        text = QLabel(HELP)
        text.setTextFormat(Qt.TextFormat.RichText)
        text.setWordWrap(True)
        text.setContentsMargins(16, 8, 16, 8)
        area = QScrollArea()
        area.setWidgetResizable(True)
        area.setWidget(text)
        layout.addWidget(area)
        self.resize(QSize(*HELP_SIZE).boundedTo(parent.screen().availableSize() * 0.9))
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
