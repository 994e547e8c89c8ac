"""About Chronotome: version, licences, and where things are kept."""

import platform
from functools import partial
from pathlib import Path

import PySide6
from PySide6.QtCore import Qt, QUrl
from PySide6.QtGui import QDesktopServices
from PySide6.QtWidgets import QDialogButtonBox, QGridLayout, QVBoxLayout, QWidget

from chronotome import __version__
from chronotome.files.cache import cache_folder
from chronotome.files.names import path_words
from chronotome.files.places import settings_file, state_folder
from chronotome.files.takes import takes_folder
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.words import tr

WIDTH = 560
LICENCES = tr(
    "Chronotome is under the MIT licence. It ships Inter and JetBrains Mono (SIL Open Font License 1.1) and "
    "uses Qt and PySide6 (LGPL 3), NumPy, SciPy and msgspec (BSD), libsndfile and soxr (LGPL 2.1), "
    "PortAudio, sounddevice, mido, alsa-midi and JACK-Client (MIT). The folder LICENSES has all of them."
)


class AboutDialog(Dialog):
    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("About Chronotome"))
        self.setMinimumWidth(WIDTH)
        layout = QVBoxLayout(self)
        layout.setSpacing(12)
        title = Label(tr("Chronotome {0}", __version__))
        title.setObjectName("heading")
        layout.addWidget(title)
        layout.addWidget(Label(tr("Python {0} · Qt {1}", platform.python_version(), PySide6.__version__)))
        layout.addWidget(self._wrapped(LICENCES))
        places = QGridLayout()
        places.setColumnStretch(1, 1)
        kept = (
            (tr("Settings"), settings_file().parent),
            (tr("Recovered edits"), state_folder()),
            (tr("Takes"), takes_folder()),
            (tr("Cache"), cache_folder()),
        )
        for row, (words, folder) in enumerate(kept):
            places.addWidget(Label(words), row, 0)
            path = self._wrapped(path_words(folder))
            path.setToolTip(tip(path.text()))
            path.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
            places.addWidget(path, row, 1)
            show = plain_button(tr("Show"), partial(self._show_folder, folder))
            show.setAccessibleName(tr("Show folder: {0}", words))
            show.setEnabled(folder.is_dir())
            places.addWidget(show, row, 2)
        layout.addLayout(places)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)

    @staticmethod
    def _show_folder(folder: Path) -> None:
        QDesktopServices.openUrl(QUrl.fromLocalFile(str(folder)))

    @staticmethod
    def _wrapped(words: str) -> Label:
        label = Label(words)
        label.setWordWrap(True)
        return label
