package zebrawood.desktop.shell;

import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.layout.Region;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.devices.whole.CaseRun;
import zebrawood.machine.Machine;

/** The pages that are of no station: all machines, two days beside each other, search, practice. */
public final class OtherPages {
  /** Two days beside each other. */
  public static final String DAYS = "=";

  /** Words looked for in all records. */
  public static final String SEARCH = "?";

  /** The place of the whole machine to practise on. */
  public static final String PRACTISE = "!";

  private static final Set<String> PLACES = Set.of(Shell.ALL, DAYS, SEARCH, PRACTISE);

  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Consumer<String> show;
  private final Consumer<Machine> openMachine;
  private final CasePage.Playing playing = new CasePage.Playing();
  private Optional<ShellPage> page = Optional.empty();

  /** The station that is shown once the machine that was asked for is open. */
  private String wanted = Shell.TODAY;

  /**
   * @param show shows a place of the open machine
   * @param openMachine opens a machine, its page where it is open already
   */
  OtherPages(SheetHost host, Consumer<String> show, Consumer<Machine> openMachine) {
    this.host = host;
    this.workshop = host.workshop();
    this.show = show;
    this.openMachine = openMachine;
  }

  static boolean has(String place) {
    return PLACES.contains(place);
  }

  /** Made anew each time it is shown. */
  Region open(String place) {
    ShellPage made =
        switch (place) {
          case Shell.ALL -> new WorkshopPage(workshop, openMachine);
          case PRACTISE -> new CasePage(host, playing);
          case SEARCH -> new SearchPage(workshop, this::openAt);
          default -> new TwoDaysPage(host, show);
        };
    page = Optional.of(made);
    return made.view();
  }

  /** The whole machine that is practised on. */
  Optional<CaseRun> playing() {
    return playing.run();
  }

  void refresh() {
    page.ifPresent(ShellPage::refresh);
  }

  void focusFirst() {
    page.ifPresent(ShellPage::focusFirst);
  }

  private void openAt(Machine machine, String stationId) {
    wanted = stationId;
    openMachine.accept(machine);
    if (workshop.opened().machine().id().equals(machine.id())) {
      showWanted();
    }
  }

  /** The machine that was asked for is open. */
  void showWanted() {
    String next = wanted;
    wanted = Shell.TODAY;
    if (workshop.stations().stream().anyMatch(s -> s.id().equals(next))) {
      show.accept(next);
    }
  }
}
