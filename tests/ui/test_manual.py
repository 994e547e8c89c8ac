"""The manual: F1 opens the page of the stage, links and pictures are there, and its keys do what it says."""

import re
from pathlib import Path

from PySide6.QtCore import Qt, QUrl
from PySide6.QtGui import QKeySequence

from chronotome.ui.dialogs.manual import FOLDER, page_of
from chronotome.ui.state.view_state import Stage

PAGES = sorted(FOLDER.glob("*.md"))
KEYS = re.compile(r"(?:(?:Ctrl|Alt|Shift)\+)+\S+|F\d{1,2}|[A-Z0-9,.]|Space|Home|Delete|Backspace|Left|Right")
MOUSE = {"Ctrl", "Ctrl+Shift", "Ctrl+Alt", "Esc", "Enter", "Ctrl+wheel"}


def test_there_is_a_page_for_each_stage_and_everything_it_names_is_there():
    assert {page.stem for page in PAGES} == {"index", "sound", *(stage.name.lower() for stage in Stage)}
    for page in PAGES:
        text = page.read_text("utf-8")
        for place in re.findall(r"\]\(([^)]+)\)", text):
            assert (FOLDER / place).is_file(), f"{page.name}: {place}"
    assert (Path(__file__).parents[2] / "docs/manual/index.md").samefile(FOLDER / "index.md")


def test_the_keys_in_it_are_keys_of_the_program(person):
    """Bold words that look like keys: one has to be an action's, or what a mouse or a dialog knows."""
    known = {
        each.toString()
        for entry in person.window.actions_table.entries
        for each in person.window.actions_table.get(entry.name).shortcuts()
    }
    wrong = []
    for page in PAGES:
        for said in re.findall(r"\*\*([^*]+)\*\*", page.read_text("utf-8")):
            keys = said.replace("←", "Left").replace("→", "Right").replace("Ctrl+Enter", "Ctrl+Return")
            is_key = re.fullmatch(
                r"(?:(?:Ctrl|Alt|Shift)\+)+\S+|F\d{1,2}|[A-Z0-9,.]|Space|Home|Delete|Backspace|Left|Right",
                keys,
            )
            if is_key and keys not in MOUSE and QKeySequence(keys).toString() not in known:
                wrong.append(f"{page.name}: {said}")
    assert not wrong


def test_f1_opens_the_page_of_the_stage_and_nothing_outside_is_shown(at_work):
    at_work.desk.view.show_stage(Stage.REWORK)
    at_work.press(Qt.Key.Key_F1)
    manual = at_work.window.beside.manual
    assert manual.isVisible()
    assert manual.text.source() == QUrl.fromLocalFile(str(page_of(Stage.REWORK)))
    assert "slices the clip" in manual.text.toPlainText()
    manual.first.click()
    assert "Recordings are never changed" in manual.text.toPlainText()
    assert manual.text.document().resource(2, QUrl("tighten.png")) is not None
    manual.back.click()
    assert manual.text.source().fileName() == "rework.md"
    manual.text.setSource(QUrl.fromLocalFile("/etc/hostname"))
    assert manual.text.source().fileName() == "rework.md"


def test_without_a_recording_it_opens_at_its_contents(person):
    person.press(Qt.Key.Key_F1)
    assert person.window.beside.manual.text.source().fileName() == "index.md"
