package ungula.server.product;

import jakarta.annotation.PostConstruct;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.server.web.Json;

/** The rubber shelf: sheets as kept, read once per version. */
@Component
public class Products {

  private final ProductMapper mapper;
  private final Json json;
  private final Map<String, Product> read = new ConcurrentHashMap<>();

  Products(ProductMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  @PostConstruct
  void ship() {
    ExampleProducts.all()
        .forEach(
            (id, product) -> {
              ProductMapper.Row row = mapper.find(id);
              String sheet = json.write(product);
              if (row == null) {
                mapper.add(new ProductMapper.Row(id, 1, true, false, sheet));
              } else if (!row.sheet().equals(sheet)) {
                mapper.reship(id, sheet);
              }
            });
  }

  /** Empty when the id is null or unknown. */
  public Optional<Product> find(String id) {
    return Optional.ofNullable(id).map(mapper::find).map(this::sheet);
  }

  Product sheet(ProductMapper.Row row) {
    return read.computeIfAbsent(
        row.id() + "@" + row.version(), key -> json.read(row.sheet(), Product.class));
  }

  /** Rubbers a job may choose from. */
  public List<Offer> rubbers() {
    return offers(p -> p.role() == Product.Role.RUBBER);
  }

  /** For backing only. */
  public List<Offer> sealants() {
    return offers(p -> p.role() == Product.Role.SEALANT);
  }

  /** Casting materials a job may choose from. */
  public List<Offer> casts() {
    return offers(p -> p.role().cast());
  }

  private List<Offer> offers(Predicate<Product> wanted) {
    return mapper.all().stream()
        .filter(row -> !row.retired() && wanted.test(sheet(row)))
        .map(row -> new Offer(row.id(), sheet(row).name(), sheet(row).summary()))
        .toList();
  }

  public record Offer(String id, String name, String summary) {}
}
