package zebrawood.records.workshop;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.sql.DataSource;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** Statements on one connection to the workshop file. */
final class Sql implements AutoCloseable {
  /** What the file or its driver refused. */
  static final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1;

    Refused(SQLException because) {
      super(because.getMessage(), because);
    }

    /**
     * Whether it tells of the file, and not of the moment: a full disk, a missing right and another
     * program that holds the file do not.
     */
    boolean ofTheFile() {
      return !(getCause() instanceof SQLiteException e)
          || !OF_THE_MOMENT.contains(SQLiteErrorCode.getErrorCode(e.getResultCode().code & 0xff));
    }

    private static final Set<SQLiteErrorCode> OF_THE_MOMENT =
        EnumSet.of(
            SQLiteErrorCode.SQLITE_PERM,
            SQLiteErrorCode.SQLITE_BUSY,
            SQLiteErrorCode.SQLITE_LOCKED,
            SQLiteErrorCode.SQLITE_READONLY,
            SQLiteErrorCode.SQLITE_FULL,
            SQLiteErrorCode.SQLITE_CANTOPEN);
  }

  /** Makes something of a row. */
  @FunctionalInterface
  interface Row<T> {
    T of(ResultSet row) throws SQLException;
  }

  private final Connection connection;

  Sql(DataSource source) {
    try {
      connection = source.getConnection();
    } catch (SQLException e) {
      throw new Refused(e);
    }
  }

  /**
   * All rows, in the order they come.
   *
   * @param values one for each question mark
   */
  <T> List<T> list(String query, Row<T> make, Object... values) {
    try (PreparedStatement statement = prepared(query, values);
        ResultSet rows = statement.executeQuery()) {
      List<T> all = new ArrayList<>();
      while (rows.next()) {
        all.add(make.of(rows));
      }
      return all;
    } catch (SQLException e) {
      throw new Refused(e);
    }
  }

  /** Looks at a row. */
  @FunctionalInterface
  interface Looked {
    void at(ResultSet row) throws SQLException;
  }

  /** Each row as it comes; none of them is kept. */
  void forEach(String query, Looked looked) {
    try (PreparedStatement statement = connection.prepareStatement(query);
        ResultSet rows = statement.executeQuery()) {
      while (rows.next()) {
        looked.at(rows);
      }
    } catch (SQLException e) {
      throw new Refused(e);
    }
  }

  /** Whether there is a table of this name. */
  boolean has(String table) {
    return !list("SELECT 1 FROM sqlite_master WHERE name = ?", row -> row.getInt(1), table)
        .isEmpty();
  }

  /** The first column of the first row. */
  Optional<String> text(String query, Object... values) {
    return list(query, row -> Optional.ofNullable(row.getString(1)), values).stream()
        .flatMap(Optional::stream)
        .findFirst();
  }

  /**
   * Changes rows.
   *
   * @param values one for each question mark; null where nothing is kept
   */
  void run(String statement, Object... values) {
    try (PreparedStatement prepared = prepared(statement, values)) {
      prepared.executeUpdate();
    } catch (SQLException e) {
      throw new Refused(e);
    }
  }

  private PreparedStatement prepared(String statement, Object... values) throws SQLException {
    PreparedStatement prepared = connection.prepareStatement(statement);
    for (int i = 0; i < values.length; i++) {
      prepared.setObject(i + 1, values[i]);
    }
    return prepared;
  }

  /** All of it, or nothing. */
  void inTransaction(Runnable changes) {
    try {
      connection.setAutoCommit(false);
      try {
        changes.run();
        connection.commit();
      } catch (SQLException | RuntimeException e) {
        afterFailure(e, connection::rollback);
        afterFailure(e, () -> connection.setAutoCommit(true));
        throw e;
      }
      connection.setAutoCommit(true);
    } catch (SQLException e) {
      throw new Refused(e);
    }
  }

  /** Done with the connection. */
  @FunctionalInterface
  private interface Step {
    void run() throws SQLException;
  }

  /** A full disk has rolled back by itself; what it said first is what is told. */
  private static void afterFailure(Exception because, Step step) {
    try {
      step.run();
    } catch (SQLException e) {
      because.addSuppressed(e);
    }
  }

  @Override
  public void close() {
    try {
      connection.close();
    } catch (SQLException e) {
      throw new Refused(e);
    }
  }
}
