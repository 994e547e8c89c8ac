"""Run by itself in the made-up language: what was never asked for in it, and what is cut off at 1024x700."""

import json
import re
import sys
from collections.abc import Iterator
from pathlib import Path

from chronotome.ui.language import LONGER, speak

speak("pseudo")

from PySide6.QtGui import QAction  # noqa: E402 - texts are looked up as the window is imported
from PySide6.QtWidgets import QCheckBox, QLabel, QPushButton, QWidget  # noqa: E402

from chronotome.files.journal import Journal  # noqa: E402
from chronotome.files.places import Settings  # noqa: E402
from chronotome.ui.application import (  # noqa: E402
    application,
    build,
    pause,
    show_demo_view,
    wait_until_ready,
)
from chronotome.ui.view_state import Stage  # noqa: E402

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


def main(folder: str) -> None:
    application()
    window = build(Settings(), output="simulated", journal=Journal(Path(folder)))
    window.resize(1024, 700)
    window.show()
    show_demo_view(window)
    window.session_files.open_demo()
    wait_until_ready(window)
    plain, cut = set[tuple[str, str, str]](), list[tuple[str, str, int, int]]()
    for stage in Stage:
        window.desk.view.show_stage(stage)
        wait_until_ready(window)
        pause(150)
        for widget in window.findChildren(QWidget):
            if not widget.isVisibleTo(window):
                continue
            plain |= {
                (type(widget).__name__, name, text) for name, text in texts_of(widget) if "~" not in text
            }
            words = (
                getattr(widget, "text", str)() if isinstance(widget, QPushButton | QCheckBox | QLabel) else ""
            )
            is_line = isinstance(widget, QPushButton | QCheckBox) or (
                isinstance(widget, QLabel) and not widget.wordWrap()
            )
            if is_line and words:
                needs = (
                    widget.fontMetrics().horizontalAdvance(words)
                    if isinstance(widget, QLabel)
                    else widget.sizeHint().width()
                )
                if needs > widget.width() + 1:
                    cut.append((stage.name, words, needs, widget.width()))
        tray = window.trays[stage]
        if tray.minimumSizeHint().width() > 300:
            cut.append((stage.name, "tray", tray.minimumSizeHint().width(), 300))
    plain |= {
        ("QAction", "text", each.text())
        for each in window.findChildren(QAction)
        if OURS.search(each.text()) and "~" not in each.text()
    }
    sys.stdout.write(json.dumps({"plain": sorted(plain), "cut": cut, "longer": LONGER}) + "\n")
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()


main(sys.argv[1])
