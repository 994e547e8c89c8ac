"""Run by itself in the made-up language: what was never asked for in it."""

import json
import re
import sys
from collections.abc import Iterator
from pathlib import Path

from chronotome.ui.language import speak

speak("pseudo")

from PySide6.QtGui import QAction  # noqa: E402 - texts are looked up as the window is imported
from PySide6.QtWidgets import QApplication, QComboBox, QWidget  # noqa: E402

from chronotome.files.audio_out import ENCODINGS  # noqa: E402
from chronotome.files.grooves import shipped_grooves  # noqa: E402
from chronotome.files.journal import Journal  # noqa: E402
from chronotome.files.places import Settings  # noqa: E402
from chronotome.files.takes import takes_folder  # noqa: E402
from chronotome.ui.application import (  # noqa: E402
    application,
    build,
    pause,
    show_demo_view,
    wait_until_ready,
)
from chronotome.ui.state.view_state import Stage  # noqa: E402
from chronotome.ui.window.main_window import MainWindow  # noqa: E402

OURS = re.compile(r"[A-Za-z]{3,}")


def texts_of(widget: QWidget) -> Iterator[tuple[str, str]]:
    for name in ("text", "toolTip", "accessibleName", "currentText"):
        ask = getattr(widget, name, None)
        try:
            text = ask() if callable(ask) else ""
        except TypeError:
            text = ""
        if isinstance(text, str) and OURS.search(text):
            yield name, text
    if isinstance(widget, QComboBox):
        yield from (
            ("item", each) for at in range(widget.count()) if OURS.search(each := widget.itemText(at))
        )


def untold(widget: QWidget) -> set[tuple[str, str, str]]:
    return {(type(widget).__name__, name, text) for name, text in texts_of(widget) if "~" not in text}


def stages(window: MainWindow) -> set[tuple[str, str, str]]:
    plain = set[tuple[str, str, str]]()
    for stage in Stage:
        window.desk.view.show_stage(stage)
        wait_until_ready(window)
        pause(150)
        for widget in window.findChildren(QWidget):
            plain |= untold(widget)
    return plain


def beside(window: MainWindow) -> set[tuple[str, str, str]]:
    """The walk, and what opens beside the window."""
    opens, plain = window.beside, set[tuple[str, str, str]]()
    for show in (
        opens.edit_preferences,
        opens.show_history,
        opens.show_batch,
        opens.share,
        opens.show_help,
        opens.walk_through,
    ):
        show()
        pause(50)
    for _step in opens.walk.steps:
        plain |= untold(opens.walk.card) | {
            each for label in opens.walk.card.findChildren(QWidget) for each in untold(label)
        }
        opens.walk.card.next.click()
    for top in QApplication.topLevelWidgets():
        for widget in (top, *top.findChildren(QWidget)):
            plain |= untold(widget)
    return plain


def main(folder: str) -> None:
    application()
    window = build(Settings(), output="simulated", journal=Journal(Path(folder)))
    window.resize(1024, 700)
    window.show()
    show_demo_view(window)
    window.session_files.open_demo()
    wait_until_ready(window)
    plain = stages(window)
    plain |= beside(window)
    plain |= {
        ("QAction", "text", each.text())
        for each in window.findChildren(QAction)
        if OURS.search(each.text()) and "~" not in each.text()
    }
    own = {each.name for each in window.desk.session.tracks}
    own |= {each.name for each in (*window.desk.session.grooves, *shipped_grooves())}
    own |= {each.words for each in ENCODINGS.values()} | {str(takes_folder())}
    plain = {each for each in plain if each[2] not in own and each[0] != "QLineEdit"}
    sys.stdout.write(json.dumps({"plain": sorted(plain)}) + "\n")
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()


main(sys.argv[1])
