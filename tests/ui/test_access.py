"""For everybody: names, menus and tooltips of all there is, lists behind lanes, contrast, shapes, scale."""

import os
import subprocess
import sys

import numpy as np
import pytest
from PySide6.QtCore import QRect, Qt
from PySide6.QtGui import QAccessible, QImage, QPainter
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractItemView,
    QAbstractSlider,
    QAbstractSpinBox,
    QComboBox,
    QLineEdit,
    QMenu,
    QScrollBar,
    QWidget,
)

from chronotome.session.edits.tempo import ramp_tempo
from chronotome.ui.state.theme import THEMES
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.lane import Lane
from chronotome.ui.timeline.marks import down, ring, up

GROUNDS = ("paper", "panel", "card", "wash")
TEXTS = ("ink", "soft_ink", "early", "late", "accent", "wave")


def luminance(value):
    parts = [int(value[at : at + 2], 16) / 255 for at in (1, 3, 5)]
    linear = [part / 12.92 if part <= 0.04045 else ((part + 0.055) / 1.055) ** 2.4 for part in parts]
    return sum(share * part for share, part in zip((0.2126, 0.7152, 0.0722), linear, strict=True))


def contrast(one, other):
    """By WCAG 2.1."""
    low, high = sorted((luminance(one), luminance(other)))
    return (high + 0.05) / (low + 0.05)


@pytest.mark.parametrize("theme", THEMES.values(), ids=list(THEMES))
def test_all_text_has_contrast(theme):
    least = 7.0 if "stark" in theme.name else 4.5
    assert contrast("#000000", "#FFFFFF") == pytest.approx(21)
    poor = {
        (text, ground): round(contrast(getattr(theme, text), getattr(theme, ground)), 2)
        for text in TEXTS
        for ground in GROUNDS
        if contrast(getattr(theme, text), getattr(theme, ground)) < least
    }
    poor |= {
        ("on_ink", ground): contrast(theme.on_ink, getattr(theme, ground))
        for ground in ("ink", "late", "accent")
        if contrast(theme.on_ink, getattr(theme, ground)) < least
    }
    assert not poor
    if "stark" in theme.name:
        for line in ("rule", "strong_rule", "wave"):
            assert min(contrast(getattr(theme, line), getattr(theme, each)) for each in GROUNDS[:3]) >= 3, (
                line
            )


def test_every_action_has_words_and_a_tooltip(at_work):
    table = at_work.window.actions_table
    assert len(table.entries) > 200
    for entry in table.entries:
        action = table.get(entry.name)
        assert action.text().strip("&… "), entry.name
        assert action.toolTip(), entry.name
        assert entry.words[0].isupper() or not entry.words[0].isalpha(), entry.name


def named(widget):
    """By a name for screen readers, or by text that stands on it."""
    texts = [widget.accessibleName()]
    for ask in ("text", "title", "currentText"):
        found = getattr(widget, ask, None)
        texts.append(found() if callable(found) else "")
    return any(isinstance(text, str) and text.strip() for text in texts)


def of_ours(widget):
    """Not a part that Qt makes within another widget."""
    inner = ("qt_", "ScrollLeftButton", "ScrollRightButton")
    parents = (QComboBox, QAbstractItemView, QAbstractSpinBox, QLineEdit)
    return not widget.objectName().startswith(inner) and not isinstance(widget.parentWidget(), parents)


@pytest.mark.parametrize("stage", list(Stage))
def test_whatever_takes_keys_or_clicks_has_a_name_and_buttons_say_what_they_do(at_work, stage):
    at_work.desk.view.show_stage(stage)
    at_work.settle()
    kinds = (
        QAbstractButton,
        QComboBox,
        QLineEdit,
        QAbstractSlider,
        QAbstractSpinBox,
        QAbstractItemView,
        Lane,
    )
    nameless, silent = [], []
    for widget in at_work.window.findChildren(QWidget):
        takes = isinstance(widget, kinds) or widget.focusPolicy() & Qt.FocusPolicy.TabFocus
        if not takes or isinstance(widget, QScrollBar | QMenu) or not of_ours(widget):
            continue
        if not widget.isVisibleTo(at_work.window):
            continue
        if not named(widget) and type(widget).__name__ not in {"QScrollArea", "QMenuBar"}:
            nameless.append(type(widget).__name__)
        if isinstance(widget, QAbstractButton) and not (widget.toolTip() or widget.text()):
            silent.append(widget.accessibleName())
    assert not nameless
    assert not silent


def test_tab_goes_through_the_window_and_where_it_is_can_be_seen(at_work):
    at_work.desk.view.show_stage(Stage.TIGHTEN)
    at_work.window.activateWindow()
    seen = []
    for _ in range(60):
        at_work.window.focusNextChild()
        widget = at_work.window.focusWidget()
        if widget in seen:
            break
        seen.append(widget)
    assert len(seen) > 25
    blind = []
    for widget in seen:
        widget.setFocus(Qt.FocusReason.TabFocusReason)
        with_focus = widget.grab().toImage()
        widget.clearFocus()
        if widget.grab().toImage() == with_focus and widget.isVisible() and widget.width() > 4:
            blind.append(f"{type(widget).__name__} {widget.accessibleName()}")
    assert not blind


def test_a_screen_reader_finds_the_hits_behind_the_lane(at_work):
    at_work.desk.view.show_stage(Stage.TIGHTEN)
    at_work.settle()
    spoken = next(each for each in at_work.window.timeline.spoken if each.accessibleName().startswith("Hits"))
    spoken.look()
    interface = QAccessible.queryAccessibleInterface(spoken)
    words = [interface.child(row).text(QAccessible.Text.Name) for row in range(interface.childCount())]

    assert len(words) == 16
    assert words[0].startswith("1.1.1, strength ")
    drift = at_work.desk.guiding.targets.drift
    said = [each.split(", ")[2].split(" ")[-1] for each in words]
    assert said == [
        ["early", "its", "late"][int(np.sign(np.round(each, 1))) + 1].replace("its", "line") for each in drift
    ]
    assert {"early", "late"} <= set(said)
    spoken.activated.emit(spoken.model().index(5))
    assert at_work.desk.view.chosen.onset == int(at_work.desk.guiding.targets.onsets[5])
    spoken.look()
    assert at_work.window.timeline.evidence["drift"].accessibleDescription() == words[5]
    assert spoken.currentIndex().row() == 5


def test_each_lane_with_things_in_it_has_its_list(at_work):
    run = at_work.window.actions_table.run
    lists = {
        each.accessibleName().split(",")[0].split(" ")[0]: each for each in at_work.window.timeline.spoken
    }
    told = {name: each._told for name, each in lists.items()}
    assert told["Onsets"].count() == len(at_work.session.recordings[0].onsets)
    assert "counted" in told["Onsets"].words(0)
    assert told["Clips"].words(0).startswith("stairwell, 0.4.4, 4.25 s")
    at_work.desk.view.show_stage(Stage.REWORK)
    run("pattern")
    at_work.settle()
    assert told["Steps"].count() == len(at_work.session.patterns[0])
    assert told["Steps"].words(1).startswith("key ")
    told["Steps"].choose(1)
    assert told["Steps"].current() == 1
    at_work.desk.view.show_stage(Stage.EXPORT)
    at_work.wait(lambda: at_work.desk.proving.proof is not None)
    assert told["Joins"].count() == len(at_work.desk.proving.proof.joins)
    at_work.desk.store.apply(lambda s: ramp_tempo(s, 4.0, 8.0, 90.0), "Ramp")
    assert [told["Tempo"].words(row) for row in range(told["Tempo"].count())] == [
        "120.00 bpm from bar 1, step",
        "120.00 bpm from bar 2, step",
        "90.00 bpm from bar 3, ramp",
    ]
    told["Tempo"].choose(2)
    assert told["Tempo"].current() == 2
    assert all(isinstance(each.current(), int) for each in told.values())


def test_early_and_late_are_told_apart_without_colour():
    """Upward, downward, round: pictures in one ink differ by a third of what is drawn and more."""
    pictures = []
    for shape in (up, down, ring):
        image = QImage(24, 24, QImage.Format.Format_Grayscale8)
        image.fill(255)
        painter = QPainter(image)
        painter.setBrush(Qt.GlobalColor.black)
        painter.translate(12, 12)
        painter.drawPath(shape(9.0)) if hasattr(shape(9.0), "elementCount") else painter.drawPolygon(
            shape(9.0)
        )
        painter.end()
        data = np.frombuffer(image.constBits(), np.uint8).reshape(24, image.bytesPerLine())[:, :24]
        pictures.append(data < 128)
    for one, other in ((0, 1), (0, 2), (1, 2)):
        differ = (pictures[one] ^ pictures[other]).sum()
        assert differ > 0.3 * max(pictures[one].sum(), pictures[other].sum())


def test_twice_as_large_nothing_is_lost(tmp_path):
    """In a process of its own: the scale is read once."""
    out = tmp_path / "twice.png"
    words = [sys.executable, "-m", "chronotome", "shot", "demo", "-o", str(out), "--size", "1024x700"]
    env = {**os.environ, "QT_SCALE_FACTOR": "2", "PYTHONPATH": os.pathsep.join(sys.path)}
    subprocess.run(words, check=True, capture_output=True, env=env, timeout=120)
    image = QImage(str(out))
    assert (image.width(), image.height()) == (2048, 1400)
    assert QRect(0, 0, 2048, 1400).contains(image.rect())


def test_screen_readers_are_told_true_roles_and_values(at_work):
    role, text = QAccessible.Role, QAccessible.Text
    tray = at_work.window.trays[Stage.TIGHTEN]
    card = at_work.window.rail.cards[Stage.FIT]
    listen, mute = at_work.window.transport.listen, at_work.window.timeline.wave.buttons._mute
    told = [QAccessible.queryAccessibleInterface(each) for each in (tray.strength, card, listen, mute)]
    assert [each.role() for each in told] == [role.Slider, role.Button, role.Button, role.CheckBox]
    assert (told[0].text(text.Name), told[0].text(text.Value)) == ("Strength", "50")
    assert told[1].text(text.Name).startswith("Fit: ")
    assert told[2].text(text.Name) == "Listen to: Edited"
    assert told[3].text(text.Name) == "Mute, stairwell"
    tray.strength.put(75)
    assert told[0].text(text.Value) == "75"
